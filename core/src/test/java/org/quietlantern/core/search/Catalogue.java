package org.quietlantern.core.search;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;
import org.quietlantern.core.query.Strategy;

/** A small catalogue in memory; publications are numbered from 1 in the order of adding. */
final class Catalogue implements AutoCloseable {
  static final Publication PLAIN =
      new Publication(
          "Untitled",
          "",
          Kind.ARTICLE,
          VersionKind.FINAL,
          List.of(),
          Optional.empty(),
          Host.NONE,
          "",
          "",
          "",
          List.of(),
          List.of(),
          "",
          Relations.NONE,
          0,
          false,
          Studied.NONE,
          Optional.empty(),
          Cited.UNKNOWN);
  static final SearchContext TODAY =
      SearchContext.on(LocalDate.of(2026, 11, 25), ZoneId.of("Europe/Oslo"));
  final CatalogueIndex index = CatalogueIndex.open(part -> new ByteBuffersDirectory(), "test");
  private int last;

  static Publication titled(String title) {
    return with(PLAIN, title, "");
  }

  static Publication with(Publication p, String title, String abstractText) {
    return changed(p, title, abstractText, p.headings(), p.doi(), p.cited());
  }

  static Publication carrying(List<HeadingUse> headings) {
    return changed(PLAIN, PLAIN.title(), "", headings, PLAIN.doi(), PLAIN.cited());
  }

  static Publication citing(String title, String doi, List<HeadingUse> headings, String... cited) {
    return changed(PLAIN, title, "", headings, doi, new Cited(true, List.of(cited)));
  }

  private static Publication changed(
      Publication p,
      String title,
      String abstractText,
      List<HeadingUse> headings,
      String doi,
      Cited cited) {
    return new Publication(
        title,
        p.originalTitle(),
        p.kind(),
        p.version(),
        p.authors(),
        p.date(),
        p.host(),
        p.publisher(),
        p.language(),
        abstractText,
        headings,
        p.keywords(),
        doi,
        p.relations(),
        p.pages(),
        p.open(),
        p.studied(),
        p.figures(),
        cited);
  }

  static Publication full(String title, int year, Kind kind, String author, String... headings) {
    List<HeadingUse> uses = new ArrayList<>();
    for (String heading : headings) {
      uses.add(new HeadingUse("urn:h:" + heading, heading, false, List.of()));
    }
    return new Publication(
        title,
        "",
        kind,
        VersionKind.FINAL,
        List.of(new PersonName(author, "A")),
        Optional.of(new PartialDate(year, 0, 0)),
        Host.NONE,
        "",
        "en",
        "",
        uses,
        List.of(),
        "10.5555/test." + year,
        Relations.NONE,
        0,
        true,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN);
  }

  Catalogue titles(String... titles) {
    for (String title : titles) {
      add(titled(title));
    }
    return this;
  }

  Catalogue add(Publication publication) {
    last++;
    index.apply(List.of(entry(last, publication)), List.of(), last);
    return this;
  }

  static IndexEntry entry(int id, Publication publication) {
    return entry(id, List.of("made"), publication);
  }

  static IndexEntry entry(int id, List<String> sources, Publication publication) {
    return new IndexEntry(
        id, "p" + id, IndexEntry.SHARED, Instant.EPOCH.plusSeconds(id), sources, publication);
  }

  static Compiled compile(Snapshot snapshot, Strategy strategy) {
    return snapshot.compile(strategy, TODAY, Library.EMPTY);
  }

  /** Ids of what a line finds, sorted. */
  List<String> find(String line) {
    try (Snapshot snapshot = index.snapshot()) {
      Compiled.Ready ready = (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of(line));
      SearchResult found = snapshot.search(ready, new Ordering(Order.HERE, false));
      if (found.count() != snapshot.all(ready).getCardinality()) {
        throw new AssertionError("count and ids differ for " + line);
      }
      return found.publicIds().stream().sorted().toList();
    }
  }

  @Override
  public void close() {
    index.close();
  }
}
