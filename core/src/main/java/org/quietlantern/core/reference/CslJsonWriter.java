package org.quietlantern.core.reference;

import jakarta.json.Json;
import jakarta.json.JsonArrayBuilder;
import jakarta.json.JsonBuilderFactory;
import jakarta.json.JsonObjectBuilder;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;

/** Writes CSL-JSON (CSL 1.0.2, the schema of its data): an array of items. */
public final class CslJsonWriter implements ReferenceWriter {
  private static final JsonBuilderFactory JSON = Json.createBuilderFactory(Map.of());

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
  public String end(int entries) {
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
      texts.put("keyword", Keywords.joined(Keywords.of(reference.work())));
    }
    if (included.notes()) {
      texts.put("note", String.join("\n", reference.notes()));
      texts.put("annote", reference.annotation());
    }
    JsonObjectBuilder json = JSON.createObjectBuilder();
    json.add("id", item.id()).add("type", item.type());
    new TreeMap<>(item.names())
        .forEach(
            (role, names) -> {
              JsonArrayBuilder all = JSON.createArrayBuilder();
              names.forEach(name -> all.add(name(name)));
              json.add(role, all);
            });
    new TreeMap<>(item.dates()).forEach((variable, date) -> json.add(variable, date(date)));
    texts.forEach((variable, text) -> add(json, variable, text));
    return json.build().toString();
  }

  private static JsonObjectBuilder name(ItemName name) {
    JsonObjectBuilder json = JSON.createObjectBuilder();
    add(json, "literal", name.literal());
    if (name.literal().isEmpty()) {
      add(json, "family", name.family());
      add(json, "given", name.given());
      add(json, "dropping-particle", name.droppingParticle());
      add(json, "non-dropping-particle", name.nonDroppingParticle());
      add(json, "suffix", name.suffix());
    }
    return json;
  }

  private static JsonObjectBuilder date(ItemDate date) {
    JsonArrayBuilder all = JSON.createArrayBuilder();
    for (ItemDate.Parts one : date.parts()) {
      JsonArrayBuilder parts = JSON.createArrayBuilder();
      Stream.of(one.year(), one.month(), one.day())
          .takeWhile(part -> part != 0)
          .forEach(parts::add);
      all.add(parts);
    }
    return JSON.createObjectBuilder().add("date-parts", all);
  }

  private static void add(JsonObjectBuilder to, String name, String text) {
    if (!text.isEmpty()) {
      to.add(name, text);
    }
  }
}
