package org.quietlantern.core.search;

import java.util.List;
import org.quietlantern.core.query.Field;

/** The names of the index's fields. */
final class IndexFields {
  /** Row number of the publication, as a point and as a doc value. */
  static final String ID = "id";

  /** Row number as a word, to replace a document by. */
  static final String KEY = "key";

  /** Public id, as a doc value. */
  static final String PUBLIC_ID = "pid";

  /** Days since 1970-01-01 of the earliest appearance, as a doc value. */
  static final String PUBLISHED = "published";

  /** Seconds since 1970-01-01 of its coming here, as a doc value. */
  static final String CAME = "came";

  static final String TITLE_ORDER = "title_order";

  /** Title, abstract, headings and author keywords together. */
  static final String ALL = "all";

  /** What a word without a field is searched in, apart: to say where it was met. */
  static final List<Field> DEFAULTS =
      List.of(Field.TITLE, Field.ABSTRACT, Field.HEADING, Field.KEYWORD);

  private IndexFields() {}

  static String stemmed(String field) {
    return field;
  }

  static String exact(String field) {
    return field + "_exact";
  }

  /** Fields whose whole value is one word to be met exactly. */
  static boolean isWhole(Field field) {
    return switch (field) {
      case YEAR, LANGUAGE, KIND, DOI -> true;
      default -> false;
    };
  }
}
