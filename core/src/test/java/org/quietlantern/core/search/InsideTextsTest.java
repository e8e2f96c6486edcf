package org.quietlantern.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Problem;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.query.Widening;
import org.quietlantern.core.vocabulary.Headings;

@DisplayName("M6, M11: words inside texts, as a field and as a widening")
class InsideTextsTest {
  @TempDir Path folder;
  private final Catalogue catalogue = new Catalogue();
  private TextsIndex texts;
  private Snapshot snapshot;

  @BeforeEach
  void fill() {
    catalogue.titles("Street lamps and moths", "Bats of fens", "Dark gardens");
    snapshot = catalogue.index.snapshot();
    texts = TextsIndex.open(folder, "mine");
    texts.apply(
        List.of(
            new TextsIndex.Entry("1/a", 1, List.of("Moths were counted.", "Gardens stayed dark.")),
            new TextsIndex.Entry(
                "2/b",
                2,
                List.of("Bats hunt; quibble-\nwicks are lit by street", "lamps at dusk."))),
        Set.of());
  }

  @AfterEach
  void close() {
    snapshot.close();
    catalogue.close();
    texts.close();
  }

  private SearchContext now() {
    return Catalogue.TODAY.with(texts.now("1"));
  }

  private static Line.Words line(String text, Widening... widened) {
    Set<Widening> by = EnumSet.noneOf(Widening.class);
    by.addAll(List.of(widened));
    return new Line.Words("w", text, false, by);
  }

  private int count(Line.Words line) {
    return snapshot.count(new Strategy(List.of(line)), now(), Library.EMPTY).orElse(-1);
  }

  @Test
  void aFieldOfItsOwn() {
    assertThat(count(line("text: moths"))).isEqualTo(1);
    assertThat(count(line("text: moth"))).as("by stem").isEqualTo(1);
    assertThat(count(line("text: \"moth\""))).as("as written").isZero();
    assertThat(count(line("text: quibblewick*"))).as("divided by a line end").isEqualTo(1);
    assertThat(count(line("text: \"street lamps\""))).as("over a page's end").isEqualTo(1);
    assertThat(count(line("text: (bats and moths)"))).isZero();
    assertThat(count(line("text: (bats or moths) not title: fens"))).isEqualTo(1);
    assertThat(count(line("moths not text: counted"))).isZero();
    assertThat(count(line("title, text: lamps"))).isEqualTo(2);
  }

  @Test
  void aWideningThatOnlyAdds() {
    assertThat(count(line("lamps"))).isEqualTo(1);
    assertThat(count(line("lamps", Widening.TEXT))).isEqualTo(2);
    assertThat(count(line("title: lamps", Widening.TEXT))).as("a named field stays").isEqualTo(1);
    Line.Words only = line("quibblewicks", Widening.TEXT);
    assertThat(count(only)).isEqualTo(1);
    assertThat(notes(only)).as("met inside a text").isEmpty();
    assertThat(notes(line("xylophone", Widening.TEXT))).contains(Problem.Code.MATCHES_NOTHING);
  }

  private List<Problem.Code> notes(Line.Words line) {
    Compiled compiled = snapshot.compile(new Strategy(List.of(line)), now(), Library.EMPTY);
    return ((Compiled.Ready) compiled).notes().stream().map(note -> note.problem().code()).toList();
  }

  @Test
  void whatItAddsAndWhereItIsMetIsSaid() {
    LineHelp help = new LineHelp(snapshot, now(), Library.EMPTY);
    Line.Words line = line("lamps");
    assertThat(help.places(line)).contains(new LineHelp.Place(Field.TEXT, 1));
    assertThat(help.gains(new Strategy(List.of(line)), line))
        .contains(new LineHelp.Gain(Widening.TEXT, 1, 1));
    Strategy wide = new Strategy(List.of(line("lamps", Widening.TEXT)));
    Explainer reasons = new Explainer(snapshot, Library.EMPTY, Headings.NONE, now().texts());
    assertThat(reasons.of(wide, 2))
        .extracting(Explanation::fields)
        .containsExactly(List.of(Field.TEXT));
    assertThat(reasons.of(wide, 1))
        .extracting(Explanation::fields)
        .containsExactly(List.of(Field.TITLE));
  }

  @Test
  void withoutTextsThereIsNothingInside() {
    LineHelp help = new LineHelp(snapshot, Catalogue.TODAY, Library.EMPTY);
    Line.Words line = line("lamps");
    assertThat(help.works(Widening.TEXT)).isFalse();
    assertThat(help.places(line)).extracting(LineHelp.Place::field).doesNotContain(Field.TEXT);
    Strategy inside = new Strategy(List.of(line("text: lamps")));
    assertThat(snapshot.count(inside, Catalogue.TODAY, Library.EMPTY)).hasValue(0);
  }

  @Test
  void comesAndGoesAndIsThereAfterAStart() {
    InsideTexts before = texts.now("1");
    texts.apply(
        List.of(new TextsIndex.Entry("3/c", 3, List.of("Gardens with moths"))), Set.of("1/a"));
    assertThat(texts.keys()).containsExactly("2/b", "3/c");
    assertThat(count(line("text: moths"))).isEqualTo(1);
    assertThat(before.publications().toArray()).as("as it was").containsExactly(1, 2);
    texts.forget(0);
    texts.close();
    texts = TextsIndex.open(folder, "mine");
    assertThat(texts.keys()).containsExactly("2/b", "3/c");
    assertThat(texts.now("2").publications().toArray()).containsExactly(2, 3);
    texts.close();
    texts = TextsIndex.open(folder, "another's");
    assertThat(texts.keys()).isEmpty();
    assertThat(texts.now("1").isEmpty()).isTrue();
  }
}
