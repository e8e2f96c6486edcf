package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.vocabulary.Headings;
import org.roaringbitmap.RoaringBitmap;

class SnapshotTest {

  @DisplayName("M1, M2: and, or, not and ruling out are set operations, on random strategies")
  @Test
  void setOperations() {
    List<String> vocabulary = List.of("moth", "bat", "lamp", "dim", "night", "verge", "fen");
    Random random = new Random(3);
    try (Catalogue catalogue = new Catalogue()) {
      List<IndexEntry> entries = new ArrayList<>();
      for (int id = 1; id <= 300; id++) {
        String title = "x";
        for (String word : vocabulary) {
          title += random.nextInt(3) == 0 ? " " + word : "";
        }
        entries.add(Catalogue.entry(id, Catalogue.titled(title)));
      }
      catalogue.index.apply(entries, List.of(), 300);
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        RoaringBitmap everything = set(snapshot, "x");
        for (int n = 0; n < 200; n++) {
          String a = vocabulary.get(random.nextInt(7));
          String b = vocabulary.get(random.nextInt(7)) + " or " + vocabulary.get(random.nextInt(7));
          RoaringBitmap left = set(snapshot, a);
          RoaringBitmap right = set(snapshot, b);
          assertThat(set(snapshot, a + " (" + b + ")")).isEqualTo(RoaringBitmap.and(left, right));
          assertThat(set(snapshot, a + " or " + b)).isEqualTo(RoaringBitmap.or(left, right));
          assertThat(set(snapshot, a + " not (" + b + ")"))
              .isEqualTo(RoaringBitmap.andNot(left, right));
          assertThat(set(snapshot, "not " + a)).isEqualTo(RoaringBitmap.andNot(everything, left));
          assertThat(set(snapshot, "not " + a, b)).isEqualTo(RoaringBitmap.andNot(right, left));
        }
      }
    }
  }

  @DisplayName("A question whose time is over is given up; one that has time, or no limit, is not")
  @Test
  void timeLimit() {
    try (Catalogue catalogue = new Catalogue().titles("Moths", "Moths and lamps")) {
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        assertThatThrownBy(() -> TimeLimit.within(Duration.ZERO, () -> count(snapshot, "moths")))
            .isInstanceOf(TimeLimit.Over.class);
        assertThat(TimeLimit.within(Duration.ofMinutes(1), () -> count(snapshot, "lamps")))
            .isEqualTo(1);
        assertThat(count(snapshot, "moths")).isEqualTo(2);
      }
    }
  }

  @DisplayName("A search whose client has left ends inside its loops")
  @Test
  void leaving() {
    AtomicInteger looks = new AtomicInteger();
    assertThatThrownBy(
            () ->
                TimeLimit.within(
                    Duration.ofMinutes(1),
                    () -> looks.incrementAndGet() == 3,
                    () -> {
                      while (true) {
                        TimeLimit.check();
                      }
                    }))
        .isInstanceOf(TimeLimit.Left.class);
    assertThat(looks).as("asked now and then").hasValue(3);
    TimeLimit.check();
  }

  private static int count(Snapshot snapshot, String text) {
    return snapshot.count((Compiled.Ready) Catalogue.compile(snapshot, Strategy.of(text)));
  }

  private static RoaringBitmap set(Snapshot snapshot, String... texts) {
    List<Line> lines = new ArrayList<>();
    for (String text : texts) {
      lines.add(new Line.Words("l" + lines.size(), text, false));
    }
    return snapshot.all((Compiled.Ready) Catalogue.compile(snapshot, new Strategy(lines)));
  }

  @DisplayName("M9: an alert's look at the newest is the whole result cut down to them")
  @Test
  void amongIsTheSameAnswer() {
    try (Catalogue catalogue = new Catalogue().titles("moth", "bat", "moths", "a moth")) {
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        Compiled.Ready ready = (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of("moth"));
        assertThat(snapshot.among(ready, RoaringBitmap.bitmapOf(2, 3, 4)))
            .isEqualTo(RoaringBitmap.bitmapOf(3, 4));
      }
    }
  }

  @Test
  void aSnapshotStaysAsItWas() {
    try (Catalogue catalogue = new Catalogue().titles("moth")) {
      try (Snapshot before = catalogue.index.snapshot()) {
        catalogue.titles("another moth");
        assertThat(set(before, "moth").getCardinality()).isEqualTo(1);
        assertThat(before.number()).isEqualTo(1);
      }
      assertThat(catalogue.find("moth")).containsExactly("p1", "p2");
    }
  }

  @DisplayName("L7, L8: access can be the first thing that a state is asked")
  @Test
  void whatIsWorkedOutOfOtherColumns() {
    try (Catalogue catalogue = new Catalogue().titles("moth", "bat");
        Snapshot snapshot = catalogue.index.snapshot()) {
      Compiled.Ready ready = (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of("moth"));
      for (Property property : List.of(Property.ACCESS, Property.PEER_REVIEWED)) {
        Breakdown breakdown = Breakdown.of(snapshot, ready, Breakdown.Asked.of(property));
        assertThat(breakdown.base()).isEqualTo(1);
      }
    }
  }

  @DisplayName("O1: orders, with ties by coming here")
  @Test
  void orders() {
    try (Catalogue catalogue = new Catalogue()) {
      catalogue.add(Catalogue.full("The zebra moth", 2020, Kind.ARTICLE, "Sey"));
      catalogue.add(Catalogue.full("A moth", 2024, Kind.ARTICLE, "Sey"));
      catalogue.add(Catalogue.titled("Moth without a year"));
      assertThat(ordered(catalogue, Order.PUBLISHED)).containsExactly("p2", "p1", "p3");
      assertThat(ordered(catalogue, Order.HERE)).containsExactly("p3", "p2", "p1");
      assertThat(ordered(catalogue, Order.TITLE)).containsExactly("p2", "p3", "p1");
      assertThat(ordered(catalogue, Order.RELEVANCE)).startsWith("p2");
    }
  }

  private static List<String> ordered(Catalogue catalogue, Order order) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      return snapshot
          .search(
              (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of("moth")),
              new Ordering(order, false))
          .publicIds();
    }
  }

  @Test
  void saysWhyAndLightsTheWords() {
    String title = "Part-night dimming restores moth visits";
    try (Catalogue catalogue = new Catalogue()) {
      catalogue.add(Catalogue.with(Catalogue.PLAIN, title, "Moths came back after dimming."));
      Strategy strategy = Strategy.of("moth* (title: dimming or \"part night\") not bat");
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        assertThat(
                new Explainer(snapshot, Library.EMPTY, Headings.NONE, InsideTexts.NONE)
                    .of(strategy, 1))
            .containsExactly(
                new Explanation("1", "moth*", List.of(Field.TITLE, Field.ABSTRACT)),
                new Explanation("1", "dimming", List.of(Field.TITLE)),
                new Explanation("1", "\"part night\"", List.of(Field.TITLE)));
      }
      Highlighter highlighter = new Highlighter(strategy, Library.EMPTY);
      assertThat(highlighter.lit(Field.TITLE, title))
          .containsExactly(new Span(0, 10), new Span(11, 18), new Span(28, 32));
      assertThat(highlighter.lit(Field.ABSTRACT, "Moths came back after dimming."))
          .containsExactly(new Span(0, 5));
    }
  }

  @Test
  void theCopyOnDiskGoesOnWhereItWasAndForgetsAnotherCatalogue(@TempDir Path folder) {
    try (CatalogueIndex index = CatalogueIndex.open(folder, "one")) {
      index.apply(List.of(Catalogue.entry(1, Catalogue.titled("moth"))), List.of(), 5);
      index.commit();
      index.apply(List.of(Catalogue.entry(2, Catalogue.titled("moth"))), List.of(), 6);
    }
    try (CatalogueIndex index = CatalogueIndex.open(folder, "one")) {
      assertThat(index.number()).isEqualTo(5);
      try (Snapshot snapshot = index.snapshot()) {
        assertThat(snapshot.size()).isEqualTo(1);
      }
      index.apply(List.of(), List.of(1), 7);
      index.commit();
    }
    try (CatalogueIndex index = CatalogueIndex.open(folder, "two")) {
      assertThat(index.number()).isZero();
      try (Snapshot snapshot = index.snapshot()) {
        assertThat(snapshot.size()).isZero();
      }
    }
  }

  @Test
  void aRecordThatCannotBeTakenInIsSetAsideAndTheRestGoesOn() {
    try (Catalogue catalogue = new Catalogue()) {
      var monster =
          new org.quietlantern.core.publication.Publication(
              "A moth",
              "",
              Kind.ARTICLE,
              Catalogue.PLAIN.version(),
              List.of(),
              java.util.Optional.empty(),
              Catalogue.PLAIN.host(),
              "",
              "",
              "",
              List.of(),
              List.of(),
              "10.5555/" + "x".repeat(40_000),
              org.quietlantern.core.publication.Relations.NONE,
              0,
              false,
              Catalogue.PLAIN.studied(),
              java.util.Optional.empty(),
              Catalogue.PLAIN.cited());
      List<CatalogueIndex.SetAside> aside =
          catalogue.index.apply(
              List.of(
                  Catalogue.entry(1, monster), Catalogue.entry(2, Catalogue.titled("A moth too"))),
              List.of(),
              2);
      assertThat(aside).extracting(CatalogueIndex.SetAside::id).containsExactly(1);
      assertThat(catalogue.find("moth")).containsExactly("p2");
    }
  }
}
