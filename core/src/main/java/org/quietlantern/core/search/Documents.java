package org.quietlantern.core.search;

import java.util.Locale;
import org.apache.lucene.document.BinaryDocValuesField;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field.Store;
import org.apache.lucene.document.IntPoint;
import org.apache.lucene.document.NumericDocValuesField;
import org.apache.lucene.document.SortedDocValuesField;
import org.apache.lucene.document.SortedNumericDocValuesField;
import org.apache.lucene.document.SortedSetDocValuesField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.util.BytesRef;
import org.quietlantern.core.holdings.Holdings;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.search.analysis.Capitals;
import org.quietlantern.core.search.analysis.ShortForms;

/** A publication as a document of the index. */
final class Documents {
  static final String YES = "yes";
  static final String NO = "no";

  /** Bytes that a value may have; Lucene takes no longer words. */
  private static final int LONGEST_VALUE = 8_000;

  private final Document document = new Document();
  private final IndexEntry entry;
  private final Publication publication;

  private Documents(IndexEntry entry) {
    this.entry = entry;
    this.publication = entry.publication();
  }

  static Document of(IndexEntry entry) {
    return new Documents(entry).document();
  }

  private Document document() {
    document.add(new IntPoint(IndexFields.ID, entry.id()));
    document.add(new StringField(IndexFields.KEY, Integer.toString(entry.id()), Store.NO));
    document.add(new BinaryDocValuesField(IndexFields.PUBLIC_ID, new BytesRef(entry.publicId())));
    document.add(new StringField(IndexFields.PUBLIC_ID, entry.publicId(), Store.NO));
    document.add(
        new SortedDocValuesField(
            IndexFields.TITLE_ORDER, new BytesRef(TitleOrder.sortKey(publication.title()))));
    numbers();
    text();
    wholes();
    properties();
    citations();
    return document;
  }

  private void numbers() {
    number(IndexFields.ID, entry.id());
    number(IndexFields.DIGEST, entry.digest());
    number(IndexFields.SAMPLE, CitedBy.hash("sample " + entry.publicId()));
    number(IndexFields.CAME, entry.came().getEpochSecond());
    number(IndexFields.OPEN, publication.open() ? 1 : 0);
    publication
        .date()
        .ifPresent(
            date -> {
              number(IndexFields.PUBLISHED, date.earliest().toEpochDay());
              number(IndexFields.PUBLISHED_LAST, date.latest().toEpochDay());
            });
    if (publication.pages() > 0) {
      number(IndexFields.PAGES, publication.pages());
    }
  }

  private void text() {
    searched(Field.TITLE, publication.title());
    searched(Field.TITLE, publication.originalTitle());
    searched(Field.ABSTRACT, publication.abstractText());
    for (HeadingUse heading : publication.headings()) {
      searched(Field.HEADING, heading.label());
      HeadingUses.words(heading)
          .forEach(word -> document.add(new StringField(IndexFields.HEADING_USE, word, Store.NO)));
    }
    for (String keyword : publication.keywords()) {
      searched(Field.KEYWORD, keyword);
    }
    for (PersonName author : publication.authors()) {
      named(Field.AUTHOR.word(), author.spoken());
    }
    Contributor.orcids(publication.contributors())
        .forEach(orcid -> named(Field.AUTHOR.word(), orcid));
    named(Field.JOURNAL.word(), publication.host().title());
    Capitals.in(publication).forEach(word -> whole(Field.CAPITALS.word(), word));
    ShortForms.in(publication.abstractText())
        .forEach(pair -> pair.ways().forEach(way -> whole(IndexFields.SHORT_FORMS, way)));
  }

  /** In its own field and in the combined one. */
  private void searched(Field field, String value) {
    if (!value.isEmpty()) {
      named(field.word(), value);
      named(IndexFields.ALL, value);
    }
  }

  private void named(String field, String value) {
    document.add(new TextField(IndexFields.stemmed(field), value, Store.NO));
    document.add(new TextField(IndexFields.exact(field), value, Store.NO));
  }

  private void wholes() {
    publication.year().ifPresent(year -> whole(Field.YEAR.word(), Integer.toString(year)));
    whole(Field.KIND.word(), publication.kind().word());
    whole(Field.DOI.word(), publication.doi());
    if (!publication.language().isEmpty()) {
      Locale language = Locale.forLanguageTag(publication.language());
      whole(Field.LANGUAGE.word(), publication.language());
      whole(Field.LANGUAGE.word(), language.getDisplayLanguage(Locale.ENGLISH));
    }
  }

  private void whole(String field, String value) {
    if (!value.isEmpty()) {
      document.add(new StringField(field, value.toLowerCase(Locale.ROOT), Store.NO));
    }
  }

  private void properties() {
    values(Property.KIND, publication.kind().word());
    values(Property.STATE, publication.version().state());
    values(Property.JOURNAL, publication.host().title());
    values(Property.PUBLISHER, publication.publisher());
    values(Property.LANGUAGE, publication.language());
    values(Property.ABSTRACT, publication.abstractText().isEmpty() ? NO : YES);
    values(Property.REFERENCES, publication.cited().known() ? YES : NO);
    publication.figures().ifPresent(has -> values(Property.FIGURES, has ? YES : NO));
    entry.sources().forEach(source -> values(Property.SOURCE, source));
    publication.studied().kinds().forEach(kind -> values(Property.STUDY, kind));
    publication.studied().taxa().forEach(taxon -> values(Property.TAXON, taxon));
    publication.studied().regions().forEach(region -> values(Property.REGION, region));
    publication.studied().stages().forEach(stage -> values(Property.STAGE, stage));
    publication.studied().sexes().forEach(sex -> values(Property.SEX, sex));
    publication.headings().forEach(heading -> suggested(Property.HEADING, heading.label()));
    publication.keywords().forEach(word -> suggested(Property.KEYWORD, word));
    publication.authors().forEach(author -> suggested(Property.AUTHOR, author.sorted()));
    findable(Property.JOURNAL, publication.host().title());
    bytes(IndexFields.HELD_BY, Holdings.Title.numberOf(publication));
  }

  private void suggested(Property property, String value) {
    values(property, value);
    findable(property, value);
  }

  private void findable(Property property, String value) {
    Suggestions.keys(value)
        .forEach(
            key -> document.add(new StringField(IndexFields.suggested(property), key, Store.NO)));
  }

  private void values(Property property, String value) {
    bytes(IndexFields.values(property), value);
  }

  private void bytes(String field, String value) {
    if (!value.isEmpty()) {
      String cut = value.length() > LONGEST_VALUE ? value.substring(0, LONGEST_VALUE) : value;
      document.add(new SortedSetDocValuesField(field, new BytesRef(cut)));
    }
  }

  private void citations() {
    if (!publication.doi().isEmpty()) {
      long hash = CitedBy.hash(publication.doi());
      number(IndexFields.DOI_HASH, hash);
      document.add(new StringField(IndexFields.DOI_HASH, IndexFields.hashed(hash), Store.NO));
    }
    for (String doi : publication.cited().dois()) {
      whole(IndexFields.CITES, doi);
      document.add(new SortedNumericDocValuesField(IndexFields.CITES, CitedBy.hash(doi)));
    }
  }

  private void number(String field, long number) {
    document.add(new NumericDocValuesField(field, number));
  }
}
