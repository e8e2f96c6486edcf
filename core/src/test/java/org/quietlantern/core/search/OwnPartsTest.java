package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Property;
import org.quietlantern.core.query.Strategy;

/** What a group alone has is searched together with what is everybody's, by that group only. */
class OwnPartsTest {
  private static final int MINE = 7;
  private static final int THEIRS = 8;
  private static final List<String> WORDS =
      List.of("moth", "moths", "bat", "verge", "dim", "dimming", "lamp", "glow");
  private static final List<String> HEADINGS = List.of("Moths", "Motorways", "Bats");

  private static IndexEntry entry(int id, int group, String title) {
    return entry(id, group, Catalogue.titled(title));
  }

  private static IndexEntry entry(int id, int group, Publication publication) {
    return new IndexEntry(id, "p" + id, group, Instant.EPOCH, List.of("made"), publication);
  }

  /** With a heading, and a reference to one of those before it. */
  private static Publication made(int id, Random random) {
    String heading = pick(HEADINGS, random);
    return Catalogue.citing(
        pick(WORDS, random) + " " + pick(WORDS, random) + " " + pick(WORDS, random),
        "10.5555/own." + id,
        List.of(new HeadingUse("urn:h:" + heading, heading, false, List.of())),
        "10.5555/own." + (1 + random.nextInt(id)));
  }

  private static List<String> found(CatalogueIndex index, int group, String line) {
    try (Snapshot snapshot = index.snapshot(group)) {
      return found(snapshot, line, Order.HERE);
    }
  }

  private static List<String> found(Snapshot snapshot, String line, Order order) {
    SearchResult found = snapshot.search(ready(snapshot, line), new Ordering(order, false));
    assertThat(found.publicIds()).hasSize(found.count());
    return found.publicIds();
  }

  private static Compiled.Ready ready(Snapshot snapshot, String line) {
    return (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of(line));
  }

  @DisplayName("A group is answered as by a catalogue that holds just what it may see")
  @Test
  void asIfThereWereNothingElse() {
    Random random = new Random(11);
    try (CatalogueIndex index = memory()) {
      List<IndexEntry> all = new ArrayList<>();
      for (int id = 1; id <= 300; id++) {
        int group = List.of(IndexEntry.SHARED, IndexEntry.SHARED, MINE, THEIRS).get(id % 4);
        all.add(entry(id, group, made(id, random)));
        if (id % 50 == 0) {
          index.apply(all.subList(id - 50, id), List.of(), id);
        }
      }
      index.apply(List.of(), List.of(4, 5, 6, 7), 301);
      for (int group : List.of(IndexEntry.SHARED, MINE, THEIRS, 9)) {
        try (CatalogueIndex alone = memory();
            Snapshot seen = index.snapshot(group)) {
          alone.apply(
              all.stream()
                  .filter(e -> e.id() < 4 || e.id() > 7)
                  .filter(e -> e.group() == IndexEntry.SHARED || e.group() == group)
                  .map(e -> entry(e.id(), IndexEntry.SHARED, e.publication()))
                  .toList(),
              List.of(),
              301);
          try (Snapshot expected = alone.snapshot()) {
            sameAnswers(seen, expected);
          }
        }
      }
    }
  }

  private static void sameAnswers(Snapshot seen, Snapshot expected) {
    assertThat(seen.size()).isEqualTo(expected.size()).isPositive();
    assertThat(seen.number()).isEqualTo(301);
    for (String line : List.of("moth", "dim*", "bat or glow", "lamp not moth", "\"bat verge\"")) {
      for (Order order : Order.values()) {
        assertThat(found(seen, line, order))
            .as(line + " by " + order)
            .isEqualTo(found(expected, line, order));
      }
      Breakdown.Asked headings = Breakdown.Asked.of(Property.HEADING);
      Breakdown bars = Breakdown.of(seen, ready(seen, line), headings);
      assertThat(bars.bars()).isNotEmpty();
      assertThat(bars).isEqualTo(Breakdown.of(expected, ready(expected, line), headings));
    }
    List<Suggestions.Suggestion> suggested = new Suggestions(seen).of(Property.HEADING, "mot", 10);
    assertThat(suggested)
        .hasSize(2)
        .isEqualTo(new Suggestions(expected).of(Property.HEADING, "mot", 10));
  }

  private static CatalogueIndex memory() {
    return CatalogueIndex.open(part -> new ByteBuffersDirectory(), "test");
  }

  private static String pick(List<String> words, Random random) {
    return words.get(random.nextInt(words.size()));
  }

  @Test
  void aStateStaysAsItWasWhileOthersCome() {
    try (CatalogueIndex index = memory()) {
      index.apply(
          List.of(entry(1, IndexEntry.SHARED, "moth"), entry(2, MINE, "moth")), List.of(), 2);
      try (Snapshot before = index.snapshot(MINE)) {
        index.apply(List.of(entry(3, IndexEntry.SHARED, "moth")), List.of(), 3);
        index.apply(List.of(entry(4, MINE, "moth")), List.of(2), 5);
        assertThat(found(before, "moth", Order.HERE)).containsExactlyInAnyOrder("p1", "p2");
        assertThat(before.number()).isEqualTo(2);
      }
      assertThat(found(index, MINE, "moth")).containsExactlyInAnyOrder("p1", "p3", "p4");
      assertThat(found(index, THEIRS, "moth")).containsExactlyInAnyOrder("p1", "p3");
      index.empty();
      assertThat(found(index, MINE, "moth")).isEmpty();
    }
  }

  @DisplayName("Parts that were written to different moments are fed from the earliest")
  @Test
  void partsOnDisk(@TempDir Path folder) throws IOException {
    try (CatalogueIndex index = CatalogueIndex.open(folder, "one")) {
      index.apply(
          List.of(entry(1, IndexEntry.SHARED, "moth"), entry(2, MINE, "moth")), List.of(), 2);
      index.commit();
      index.apply(List.of(entry(3, MINE, "moth")), List.of(), 3);
    }
    try (CatalogueIndex index = CatalogueIndex.open(folder, "one")) {
      assertThat(index.number()).isEqualTo(2);
      assertThat(found(index, MINE, "moth")).containsExactlyInAnyOrder("p1", "p2");
      assertThat(found(index, THEIRS, "moth")).containsExactly("p1");
    }
    try (Stream<Path> files = Files.walk(folder.resolve("own-" + MINE))) {
      files.sorted(Comparator.reverseOrder()).forEach(file -> file.toFile().delete());
    }
    try (CatalogueIndex index = CatalogueIndex.open(folder, "one")) {
      assertThat(index.number()).as("all is fed again").isZero();
      assertThat(found(index, MINE, "moth")).containsExactly("p1");
    }
    try (CatalogueIndex index = CatalogueIndex.open(folder, "two")) {
      assertThat(index.number()).isZero();
      assertThat(found(index, MINE, "moth")).isEmpty();
    }
  }
}
