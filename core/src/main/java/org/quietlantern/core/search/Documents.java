package org.quietlantern.core.search;

import java.util.Locale;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field.Store;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.SortedDocValuesField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.util.BytesRef;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Field;

/** A publication as a document of the index. */
final class Documents {
  private Documents() {}

  static Document of(Entry entry) {
    Publication publication = entry.publication();
    Document document = new Document();
    document.add(new IntPoint(IndexFields.ID, entry.id()));
    document.add(new NumericDocValuesField(IndexFields.ID, entry.id()));
    document.add(new StringField(IndexFields.KEY, Integer.toString(entry.id()), Store.NO));
    document.add(new SortedDocValuesField(IndexFields.PUBLIC_ID, new BytesRef(entry.publicId())));
    document.add(new NumericDocValuesField(IndexFields.CAME, entry.came().getEpochSecond()));
    publication
        .date()
        .ifPresent(
            date ->
                document.add(
                    new NumericDocValuesField(
                        IndexFields.PUBLISHED, date.earliest().toEpochDay())));
    document.add(
        new SortedDocValuesField(
            IndexFields.TITLE_ORDER, new BytesRef(Titles.sortKey(publication.title()))));
    text(document, publication);
    whole(document, publication);
    return document;
  }

  private static void text(Document document, Publication publication) {
    searched(document, Field.TITLE, publication.title());
    searched(document, Field.TITLE, publication.originalTitle());
    searched(document, Field.ABSTRACT, publication.abstractText());
    for (HeadingUse heading : publication.headings()) {
      searched(document, Field.HEADING, heading.label());
    }
    for (String keyword : publication.keywords()) {
      searched(document, Field.KEYWORD, keyword);
    }
    for (PersonName author : publication.authors()) {
      named(document, Field.AUTHOR, author.spoken());
    }
    named(document, Field.JOURNAL, publication.host().title());
  }

  /** In its own field and in the combined one. */
  private static void searched(Document document, Field field, String value) {
    if (!value.isEmpty()) {
      named(document, field, value);
      named(document, IndexFields.ALL, value);
    }
  }

  private static void named(Document document, Field field, String value) {
    named(document, field.word(), value);
  }

  private static void named(Document document, String field, String value) {
    document.add(new TextField(IndexFields.stemmed(field), value, Store.NO));
    document.add(new TextField(IndexFields.exact(field), value, Store.NO));
  }

  private static void whole(Document document, Publication publication) {
    publication.year().ifPresent(year -> value(document, Field.YEAR, Integer.toString(year)));
    value(document, Field.KIND, publication.kind().word());
    value(document, Field.DOI, publication.doi());
    if (!publication.language().isEmpty()) {
      Locale language = Locale.forLanguageTag(publication.language());
      value(document, Field.LANGUAGE, publication.language());
      value(document, Field.LANGUAGE, language.getDisplayLanguage(Locale.ENGLISH));
    }
  }

  private static void value(Document document, Field field, String value) {
    if (!value.isEmpty()) {
      document.add(new StringField(field.word(), value.toLowerCase(Locale.ROOT), Store.NO));
    }
  }
}
