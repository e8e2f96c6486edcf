package org.quietlantern.core.search;

import java.util.List;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.TermQuery;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Property;

/** The names of the index's fields. */
final class IndexFields {
  /** Row number of the publication, as a point and as a doc value. */
  static final String ID = "id";

  /** Row number as a word, to replace a document by. */
  static final String KEY = "key";

  /** Public id, as a doc value and as a word. */
  static final String PUBLIC_ID = "pid";

  /** What {@link IndexEntry#digest} says, as a doc value. */
  static final String DIGEST = "digest";

  /** Days since 1970-01-01 of the earliest appearance, as a doc value. */
  static final String PUBLISHED = "published";

  /** The last day that the date of appearance can mean. */
  static final String PUBLISHED_LAST = "published_last";

  static final String PAGES = "pages";

  /** 1 where a source knows an open copy. */
  static final String OPEN = "open";

  /** The number under which holdings name it. */
  static final String HELD_BY = "held-by";

  /** DOIs of works cited, as words, and as hashes in a doc value. */
  static final String CITES = "cites";

  /** Hash of its own DOI, as a doc value and as a word. */
  static final String DOI_HASH = "doi_hash";

  /** Short and long forms that the text explains: {@code short=long} and {@code long=short}. */
  static final String SHORT_FORMS = "short";

  /** Seconds since 1970-01-01 of its coming here, as a doc value. */
  static final String CAME = "came";

  /** Headings that a publication carries, see {@link HeadingUses}. */
  static final String HEADING_USE = "heading_use";

  /** A number drawn from the public id, as a doc value. */
  static final String SAMPLE = "sample";

  static final String TITLE_ORDER = "title_order";

  /** Title, abstract, headings and author keywords together. */
  static final String ALL = "all";

  /** What a word without a field is searched in, apart: to say where it was met. */
  static final List<Field> DEFAULTS =
      List.of(Field.TITLE, Field.ABSTRACT, Field.HEADING, Field.KEYWORD);

  private IndexFields() {}

  /** The field of the index in which a value is met as a whole. */
  static String whole(Field field) {
    return field == Field.ID ? PUBLIC_ID : field.word();
  }

  /** A hash as a word. */
  static String hashed(long hash) {
    return Long.toString(hash, Character.MAX_RADIX);
  }

  /** Whether a field holds running text. */
  static boolean isLong(String field) {
    return List.of(ALL, Field.ABSTRACT.word()).stream()
        .anyMatch(each -> field.equals(stemmed(each)) || field.equals(exact(each)));
  }

  /** Doc values of a property. */
  static String values(Property property) {
    return "values_" + property.word();
  }

  /** What a suggestion of a property is found by. */
  static String suggested(Property property) {
    return "suggested_" + property.word();
  }

  /** What has a word in a field. */
  static Query having(String field, String word) {
    return new TermQuery(new Term(field, word));
  }

  static String stemmed(String field) {
    return field;
  }

  static String exact(String field) {
    return field + "_exact";
  }

  /** Fields whose whole value is one word to be met exactly. */
  static boolean isWhole(Field field) {
    return switch (field) {
      case YEAR, LANGUAGE, KIND, DOI, CITES, CITEDBY, ID, CAPITALS -> true;
      default -> false;
    };
  }
}
