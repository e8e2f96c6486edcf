package org.quietlantern.server.export;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.quietlantern.core.reference.Included;
import org.quietlantern.server.platform.Refusal;

/** What may go along with a work. */
enum Part {
  ABSTRACT,
  /** Headings and keywords of authors. */
  KEYWORDS,
  /** The stable link. */
  LINK,
  /** Who added it to the folder, and when. */
  ADDED,
  /** Why, in the words of whoever added it. */
  REASONS,
  /** What members said of it: their marks with their reasons. */
  MARKS,
  /** What stands below it in the folder's bibliography. */
  ANNOTATION;

  String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  static Set<Part> named(List<String> words) {
    Set<Part> parts = EnumSet.noneOf(Part.class);
    for (String word : words) {
      parts.add(
          Arrays.stream(values())
              .filter(part -> part.word().equals(word))
              .findFirst()
              .orElseThrow(() -> Refusal.unusable("with", "No file has this: " + word)));
    }
    return parts;
  }

  static Included included(Set<Part> parts) {
    return new Included(
        parts.contains(ABSTRACT), parts.contains(KEYWORDS), true, parts.contains(LINK));
  }
}
