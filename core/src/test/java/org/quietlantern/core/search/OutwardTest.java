package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Strategy;
import org.roaringbitmap.RoaringBitmap;

/** From one publication to others: what it cites, what cites it, what is like it. */
class OutwardTest {
  private static final HeadingUse BATS = new HeadingUse("urn:bats", "Bats", false, List.of());
  private static final HeadingUse LAMPS = new HeadingUse("urn:lamps", "Lamps", true, List.of());

  private static final Publication FIRST =
      Catalogue.citing(
          "Lamps and bats", "10.5555/A", List.of(BATS, LAMPS), "10.5555/b", "10.5555/c");

  private static Catalogue catalogue() {
    Catalogue catalogue = new Catalogue().add(FIRST);
    catalogue.add(Catalogue.citing("Bats of fens", "10.5555/b", List.of(BATS), "10.5555/c"));
    catalogue.add(Catalogue.citing("Fens", "10.5555/c", List.of()));
    catalogue.add(Catalogue.citing("Verges", "", List.of(LAMPS), "10.5555/a", "10.5555/z"));
    for (int i = 0; i < 8; i++) {
      catalogue.add(Catalogue.titled("Something else " + i));
    }
    return catalogue;
  }

  @DisplayName("What cites a work, and what a publication cites, are lines like any other")
  @Test
  void citations() {
    try (Catalogue catalogue = catalogue()) {
      assertThat(catalogue.find("cites: \"10.5555/C\"")).containsExactlyInAnyOrder("p1", "p2");
      assertThat(catalogue.find("cites: \"10.5555/a\"")).containsExactly("p4");
      assertThat(catalogue.find("citedby: \"10.5555/a\"")).containsExactlyInAnyOrder("p2", "p3");
      assertThat(catalogue.find("citedby: p4")).containsExactly("p1");
      assertThat(catalogue.find("citedby: \"10.5555/a\" not cites: \"10.5555/c\""))
          .containsExactly("p3");
      assertThat(catalogue.find("id: (p2 or p3)")).containsExactlyInAnyOrder("p2", "p3");
      try (Snapshot snapshot = catalogue.index.snapshot()) {
        Compiled.Ready nothing =
            (Compiled.Ready)
                Catalogue.compile(snapshot, Strategy.of("citedby: \"10.5555/nowhere\""));
        assertThat(snapshot.count(nothing)).isZero();
        assertThat(nothing.notes())
            .extracting(note -> note.problem().code())
            .containsExactly(Problem.Code.MATCHES_NOTHING);
      }
    }
  }

  @DisplayName("Alike is what shares headings, references and words; each with its ground")
  @Test
  void alike() {
    try (Catalogue catalogue = catalogue();
        Snapshot snapshot = catalogue.index.snapshot()) {
      SimilarPublications alike = new SimilarPublications(snapshot, FIRST);
      assertThat(alike.found("p1")).startsWith("p2").contains("p4").doesNotContain("p1", "p5");
      Publication second =
          Catalogue.citing("Bats of fens", "10.5555/b", List.of(BATS), "10.5555/c");
      SimilarPublications.Ground ground = alike.ground(second);
      assertThat(ground.headings()).containsExactly("Bats");
      assertThat(ground.references()).isEqualTo(1);
      assertThat(ground.cites()).isTrue();
      assertThat(new SimilarPublications(snapshot, Catalogue.titled("xylophones")).found("none"))
          .isEmpty();
    }
  }

  @DisplayName(
      "Ties: what it shares with a set of works, who cites whom; what a third has ties none")
  @Test
  void ties() {
    try (Catalogue catalogue = catalogue();
        Snapshot snapshot = catalogue.index.snapshot()) {
      Ties ties = new Ties(snapshot, FIRST);
      RoaringBitmap fens = RoaringBitmap.bitmapOf(2, 3);
      RoaringBitmap verges = RoaringBitmap.bitmapOf(4);
      RoaringBitmap cited = RoaringBitmap.bitmapOf(2, 3);
      assertThat(ties.to(fens, cited)).isEqualTo(new Ties.Tie(List.of("Bats"), 1, 2, 0));
      assertThat(ties.to(verges, cited)).isEqualTo(new Ties.Tie(List.of("Lamps"), 0, 0, 1));
      Ties.Tie none = ties.to(RoaringBitmap.bitmapOf(5, 6), cited);
      assertThat(none.strength()).isZero();
      assertThat(ties.to(new RoaringBitmap(), cited)).isEqualTo(none);
      assertThat(ties.to(fens, cited).strength()).isGreaterThan(ties.to(verges, cited).strength());
    }
    try (Catalogue many = catalogue()) {
      for (int i = 0; i < 8; i++) {
        many.add(Catalogue.citing("Bats " + i, "", List.of(BATS)));
      }
      try (Snapshot snapshot = many.index.snapshot()) {
        assertThat(new Ties(snapshot, FIRST).to(RoaringBitmap.bitmapOf(2), new RoaringBitmap()))
            .isEqualTo(new Ties.Tie(List.of(), 1, 0, 0));
      }
    }
  }

  @DisplayName("A sample can be drawn again: the same records in the same order, whatever came")
  @Test
  void sample() {
    try (Catalogue catalogue = new Catalogue()) {
      for (int i = 0; i < 60; i++) {
        catalogue.add(Catalogue.titled("moth"));
      }
      List<String> before = sampled(catalogue);
      assertThat(before)
          .hasSize(60)
          .isNotEqualTo(new ArrayList<>(before.stream().sorted().toList()));
      catalogue.add(Catalogue.titled("moth"));
      List<String> after = new ArrayList<>(sampled(catalogue));
      after.remove("p61");
      assertThat(after).isEqualTo(before);
    }
  }

  private static List<String> sampled(Catalogue catalogue) {
    try (Snapshot snapshot = catalogue.index.snapshot()) {
      return snapshot
          .search(
              (Compiled.Ready) Catalogue.compile(snapshot, Strategy.of("moth")),
              new Ordering(Order.SAMPLE, false))
          .publicIds();
    }
  }
}
