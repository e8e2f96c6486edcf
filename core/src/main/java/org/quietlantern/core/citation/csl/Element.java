package org.quietlantern.core.citation.csl;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A rendering element of a style (specification, <i>Rendering Elements</i>). */
sealed interface Element {
  /** {@code kind}: {@code variable}, {@code macro}, {@code term} or {@code value}. */
  record Text(String kind, String of, Attributes said, Formatting formatting) implements Element {}

  record Numeral(String variable, String form, Formatting formatting) implements Element {}

  record Label(String variable, Attributes said, Formatting formatting) implements Element {}

  record DatePart(String name, Attributes said, Formatting formatting) {}

  /** {@code form}: of the locale; empty for one that the style lays out itself. */
  record Date(
      String variable,
      String form,
      String delimiter,
      String parts,
      List<DatePart> own,
      Formatting formatting)
      implements Element {}

  /**
   * @param options of its {@code name}, with what it inherits
   * @param labelFirst whether the label stands before the name
   */
  record Names(
      List<String> variables,
      Attributes said,
      Attributes options,
      Formatting name,
      Formatting family,
      Formatting given,
      Optional<Label> label,
      boolean labelFirst,
      EtAl etAl,
      List<Element> substitute,
      boolean hasName,
      Formatting formatting)
      implements Element {

    /** With the looks of others that these stand for; what they say themselves counts. */
    Names like(Names others) {
      return new Names(
          variables,
          said,
          others.options,
          others.name,
          others.family,
          others.given,
          label.isPresent() ? label : others.label,
          others.labelFirst,
          others.etAl,
          List.of(),
          true,
          Formatting.PLAIN);
    }

    /** With nothing around them. */
    static Names plain(String variable, Map<String, String> options) {
      return new Names(
          List.of(variable),
          Attributes.NONE,
          new Attributes(options),
          Formatting.PLAIN,
          Formatting.PLAIN,
          Formatting.PLAIN,
          Optional.empty(),
          false,
          new EtAl("et-al", Formatting.PLAIN),
          List.of(),
          true,
          Formatting.PLAIN);
    }
  }

  record EtAl(String term, Formatting formatting) {}

  record Group(List<Element> children, String delimiter, Formatting formatting)
      implements Element {}

  /** The branches in their order; the last may have no conditions. */
  record Choose(List<Branch> branches) implements Element {}

  /** {@code match}: {@code all}, {@code any} or {@code none}. */
  record Branch(String match, List<Condition> conditions, List<Element> children) {}

  /** {@code test}: {@code type}, {@code variable}, … */
  record Condition(String test, String value) {}
}
