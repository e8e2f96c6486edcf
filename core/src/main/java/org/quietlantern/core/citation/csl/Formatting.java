package org.quietlantern.core.citation.csl;

import java.util.ArrayList;
import java.util.List;

/**
 * How something looks (specification, <i>Formatting</i>, <i>Affixes</i>, <i>Display</i>); empty
 * text for what is not said.
 *
 * @param decorations as {@code font-style=italic}, the outermost first
 */
record Formatting(
    List<String> decorations,
    String prefix,
    String suffix,
    boolean quotes,
    String textCase,
    boolean stripPeriods,
    String display) {
  static final Formatting PLAIN = new Formatting(List.of(), "", "", false, "", false, "");
  private static final List<String> DECORATING =
      List.of("vertical-align", "text-decoration", "font-weight", "font-variant", "font-style");

  static Formatting read(Attributes from) {
    List<String> decorations = new ArrayList<>();
    for (String name : DECORATING) {
      String value = from.get(name);
      if (!value.isEmpty()) {
        decorations.add(name + "=" + value);
      }
    }
    return new Formatting(
        List.copyOf(decorations),
        from.get("prefix"),
        from.get("suffix"),
        from.is("quotes"),
        from.get("text-case"),
        from.is("strip-periods"),
        from.get("display"));
  }

  /** Without what stands around it. */
  Formatting bare() {
    return new Formatting(decorations, "", "", quotes, textCase, stripPeriods, "");
  }
}
