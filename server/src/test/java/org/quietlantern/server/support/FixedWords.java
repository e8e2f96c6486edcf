package org.quietlantern.server.support;

import io.swagger.v3.oas.models.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.publication.ChangeKind;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;

/** Fields of the API that take one of a few words, and which. */
final class FixedWords {
  private static final List<String> LAMPS = words(Lamp.values(), Lamp::word);
  private static final List<String> MARKS = words(Mark.values(), Mark::word);
  private static final List<String> ROLES = List.of("coordinator", "member", "guest");
  private static final List<String> VERSIONS = words(VersionKind.values(), VersionKind::word);
  private static final List<String> PROPERTIES = words(Property.values(), Property::word);

  /** By type and field. */
  private static final Map<String, List<String>> KNOWN =
      Map.ofEntries(
          Map.entry("Hit.lamp", LAMPS),
          Map.entry("FolderItem.lamp", LAMPS),
          Map.entry("LampShown.lamp", LAMPS),
          Map.entry("Leaf.lamp", LAMPS),
          Map.entry("Marked.lamp", LAMPS),
          Map.entry("SaidShown.lamp", LAMPS),
          Map.entry("SaidShown.mark", MARKS),
          Map.entry("MarkBody.mark", MARKS),
          Map.entry("Person.role", ROLES),
          Map.entry("Group.role", ROLES),
          Map.entry("AlertLine.state", List.of("watching", "paused", "ended")),
          Map.entry("BlockShown.kind", List.of("heading", "paragraph", "table")),
          Map.entry("LineBody.kind", List.of("words", "limit", "held")),
          Map.entry("Summary.version", VERSIONS),
          Map.entry("VersionShown.version", VERSIONS),
          Map.entry("PublicationChange.kinds", words(ChangeKind.values(), ChangeKind::word)),
          Map.entry("Summary.access", words(Access.values(), Access::word)),
          Map.entry("PropertyShown.property", PROPERTIES),
          Map.entry(
              "PropertyShown.shape",
              words(Property.Shape.values(), shape -> shape.name().toLowerCase(Locale.ROOT))));

  private FixedWords() {}

  private static <T> List<String> words(T[] values, Function<T, String> word) {
    return Arrays.stream(values).map(word).toList();
  }

  /** Says of each such field which words it takes; throws where there is none of that name. */
  @SuppressWarnings({"rawtypes", "unchecked"})
  static void describe(Map<String, Schema> schemas) {
    KNOWN.forEach(
        (name, words) -> {
          String[] parts = name.split("\\.");
          Schema type = schemas.get(parts[0]);
          if (type == null || !type.getProperties().containsKey(parts[1])) {
            throw new IllegalStateException("the API has no field " + name);
          }
          Schema field = ((Map<String, Schema>) type.getProperties()).get(parts[1]);
          (field.getItems() == null ? field : field.getItems()).setEnum(words);
        });
  }
}
