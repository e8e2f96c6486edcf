package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;

/** Writes CSL-JSON (CSL 1.0.2, the schema of its data): an array of items. */
public final class CslJsonWriter implements ReferenceWriter {
  private final Included included;

  public CslJsonWriter(Included included) {
    this.included = included;
  }

  @Override
  public String begin() {
    return "[\n";
  }

  @Override
  public String between() {
    return ",\n";
  }

  @Override
  public String end() {
    return "\n]\n";
  }

  @Override
  public String entry(Reference reference) {
    Item item = CitedItem.of(reference.key(), reference.work());
    Map<String, String> texts = new TreeMap<>(item.texts());
    if (included.links()) {
      texts.put("URL", reference.link());
    }
    if (included.abstracts()) {
      texts.put("abstract", reference.work().abstractText());
    }
    if (included.keywords()) {
      texts.put("keyword", String.join(", ", Keywords.of(reference.work())));
    }
    if (included.notes()) {
      texts.put("note", String.join("\n", reference.notes()));
      texts.put("annote", reference.annotation());
    }
    List<String> members = new ArrayList<>();
    members.add(member("id", string(item.id())));
    members.add(member("type", string(item.type())));
    new TreeMap<>(item.names())
        .forEach(
            (role, names) ->
                members.add(member(role, array(names.stream().map(CslJsonWriter::name).toList()))));
    new TreeMap<>(item.dates())
        .forEach((variable, date) -> members.add(member(variable, date(date))));
    texts.forEach(
        (variable, text) -> {
          if (!text.isEmpty()) {
            members.add(member(variable, string(text)));
          }
        });
    return object(members);
  }

  private static String name(ItemName name) {
    List<String> parts = new ArrayList<>();
    if (!name.literal().isEmpty()) {
      return object(List.of(member("literal", string(name.literal()))));
    }
    add(parts, "family", name.family());
    add(parts, "given", name.given());
    add(parts, "dropping-particle", name.droppingParticle());
    add(parts, "non-dropping-particle", name.nonDroppingParticle());
    add(parts, "suffix", name.suffix());
    return object(parts);
  }

  private static void add(List<String> to, String name, String text) {
    if (!text.isEmpty()) {
      to.add(member(name, string(text)));
    }
  }

  private static String date(ItemDate date) {
    String parts =
        array(
            date.parts().stream()
                .map(
                    one ->
                        array(
                            List.of(one.year(), one.month(), one.day()).stream()
                                .takeWhile(part -> part != 0)
                                .map(String::valueOf)
                                .toList()))
                .toList());
    return object(List.of(member("date-parts", parts)));
  }

  private static String member(String name, String value) {
    return string(name) + ":" + value;
  }

  private static String object(List<String> members) {
    return "{" + String.join(",", members) + "}";
  }

  private static String array(List<String> values) {
    return "[" + String.join(",", values) + "]";
  }

  /** RFC 8259, section 7. */
  private static String string(String text) {
    return text.chars()
        .mapToObj(
            c ->
                switch (c) {
                  case '"' -> "\\\"";
                  case '\\' -> "\\\\";
                  case '\n' -> "\\n";
                  default -> c < ' ' ? "\\u%04x".formatted(c) : String.valueOf((char) c);
                })
        .collect(Collectors.joining("", "\"", "\""));
  }
}
