package org.quietlantern.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.csl.Cite;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;
import org.quietlantern.core.citation.csl.Particles;
import tools.jackson.databind.JsonNode;

/** Reads works and cites from the JSON of the Citation Style Language. */
final class CslJson {
  private static final Pattern RAW = Pattern.compile("(-?\\d+)(?:-(\\d+))?(?:-(\\d+))?");

  private CslJson() {}

  static List<Item> items(JsonNode array) {
    return array.valueStream().map(CslJson::item).toList();
  }

  private static Item item(JsonNode from) {
    Map<String, String> texts = new HashMap<>();
    Map<String, List<ItemName>> names = new HashMap<>();
    Map<String, ItemDate> dates = new HashMap<>();
    from.propertyStream()
        .forEach(
            one -> {
              JsonNode value = one.getValue();
              if (value.isArray() && one.getKey().matches("[a-z-]+")) {
                names.put(one.getKey(), value.valueStream().map(CslJson::name).toList());
              } else if (value.isObject()) {
                date(value).ifPresent(date -> dates.put(one.getKey(), date));
              } else if (value.isValueNode()) {
                texts.put(one.getKey(), value.asString());
              }
            });
    texts.remove("id");
    texts.remove("type");
    return new Item(text(from, "id"), text(from, "type"), texts, names, dates);
  }

  private static String text(JsonNode from, String name) {
    return from.has(name) && from.get(name).isValueNode() ? from.get(name).asString() : "";
  }

  private static boolean is(JsonNode from, String name) {
    String text = text(from, name);
    return text.equals("true") || text.equals("1");
  }

  private static ItemName name(JsonNode from) {
    String literal = text(from, "literal");
    boolean institution = is(from, "isInstitution") || !literal.isEmpty();
    return Particles.of(
        new ItemName(
            institution ? "" : text(from, "family"),
            institution ? "" : text(from, "given"),
            text(from, "dropping-particle"),
            text(from, "non-dropping-particle"),
            text(from, "suffix"),
            is(from, "comma-suffix"),
            is(from, "static-ordering"),
            institution ? (literal.isEmpty() ? text(from, "family") : literal) : ""));
  }

  private static Optional<ItemDate> date(JsonNode from) {
    List<ItemDate.Parts> parts = new ArrayList<>();
    if (from.has("date-parts")) {
      for (JsonNode one : from.get("date-parts")) {
        parts.add(new ItemDate.Parts(number(one, 0), season(from, number(one, 1)), number(one, 2)));
      }
    } else if (from.has("raw")) {
      for (String one : text(from, "raw").split("/")) {
        Matcher raw = RAW.matcher(one.strip());
        if (raw.matches()) {
          parts.add(
              new ItemDate.Parts(
                  Integer.parseInt(raw.group(1)),
                  raw.group(2) == null ? 0 : Integer.parseInt(raw.group(2)),
                  raw.group(3) == null ? 0 : Integer.parseInt(raw.group(3))));
        }
      }
    }
    // A year that is none is no date.
    if (!parts.isEmpty() && parts.get(0).year() == 0) {
      parts.clear();
    }
    String literal = text(from, "literal");
    if (parts.isEmpty() && literal.isEmpty()) {
      literal = text(from, "raw");
    }
    boolean circa =
        from.has("circa")
            && !text(from, "circa").equals("false")
            && !text(from, "circa").equals("0");
    return parts.isEmpty() && literal.isEmpty()
        ? Optional.empty()
        : Optional.of(new ItemDate(parts, circa, literal));
  }

  private static int season(JsonNode from, int month) {
    String season = text(from, "season");
    return month == 0 && season.matches("[1-4]") ? 20 + Integer.parseInt(season) : month;
  }

  private static int number(JsonNode array, int at) {
    String text = at < array.size() ? array.get(at).asString() : "";
    return text.matches("-?\\d+") ? Integer.parseInt(text) : 0;
  }

  static Cite cite(JsonNode from) {
    return new Cite(
        text(from, "id"),
        text(from, "locator"),
        text(from, "label"),
        text(from, "prefix"),
        text(from, "suffix"),
        is(from, "suppress-author"));
  }
}
