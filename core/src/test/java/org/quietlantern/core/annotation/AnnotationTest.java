package org.quietlantern.core.annotation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Annotations: their emphasis, the places of words in them, and what somebody else would write. */
class AnnotationTest {
  private static final String TEXT =
      "Fewer moths were counted at lit verges. The moths were counted by hand.";

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "of *Plecotus auritus* only|of <Plecotus auritus> only",
        "*All* of it|<All> of it",
        "(*really*), *so*.|(<really>), <so>.",
        "2 * 3 * 4|2 * 3 * 4",
        "a*b*c|a*b*c",
        "an *open one|an *open one",
        "** nothing **|** nothing **",
        "**strong**|**strong**",
        "* a point|* a point",
      })
  void whatStandsBetweenStarsIsEmphasised(String written, String read) {
    String shown =
        AnnotationText.read(written).paragraphs().get(0).words().stream()
            .map(words -> words.emphasised() ? "<" + words.text() + ">" : words.text())
            .collect(Collectors.joining());
    assertThat(shown).isEqualTo(read);
  }

  @Test
  void aLineIsAParagraphAndEmptyOnesAreNone() {
    assertThat(AnnotationText.read("One.\n\n \r\nTwo *of\nthem*.").paragraphs())
        .extracting(paragraph -> paragraph.words().get(0).text())
        .containsExactly("One.", "Two *of", "them*.");
    assertThat(AnnotationText.read(" \n ").paragraphs()).isEmpty();
  }

  @Test
  void wordsAreFoundAgainByWhatStoodAroundThem() {
    int second = TEXT.lastIndexOf("moths");
    Part part = Part.of(TEXT, second, second + 5);
    assertThat(part.in(TEXT)).contains(second);
    String later = "Moths and more moths. " + TEXT.replace("Fewer moths", "Far fewer moths");
    assertThat(part.in(later)).contains(later.lastIndexOf("moths"));
    assertThat(part.replaced(later, "bats"))
        .get()
        .asString()
        .endsWith("The bats were counted by hand.");
    assertThat(part.in("Nothing of it.")).isEmpty();
    assertThat(part.replaced("Nothing of it.", "bats")).isEmpty();
  }

  @Test
  void noLetterIsCutInTwo() {
    String text = "🦇".repeat(60);
    Part part = Part.of(text, 61, 65);
    assertThat(part.words()).isEqualTo("🦇🦇");
    assertThat(part.before()).isEqualTo("🦇".repeat(20));
    assertThat(part.after()).isEqualTo("🦇".repeat(20));
    assertThat(Part.of("x" + text, 1, 3).after()).isEqualTo("🦇".repeat(20));
  }

  @Test
  void whereNothingElseTellsTheNearestIsMeant() {
    Part part = new Part("moths", "", "", 20);
    assertThat(part.in("moths ........... moths ..... moths")).contains(18);
  }

  @Test
  void whatSomebodyElseWouldWriteIsSplitIntoWords() {
    List<OtherWords> found =
        OtherWords.between(
            TEXT,
            "Far fewer moths were counted at lit verges. The moths were counted by hand, twice.");
    assertThat(found)
        .extracting(one -> one.part().words() + " > " + one.words())
        .containsExactly("Fewer > Far fewer", "hand. > hand, twice.");
    String taken = TEXT;
    for (OtherWords one : found) {
      taken = one.part().replaced(taken, one.words()).orElseThrow();
    }
    assertThat(taken).startsWith("Far fewer moths").endsWith("by hand, twice.");
  }

  @Test
  void changesBetweenWhichFewWordsStayAreOne() {
    assertThat(
            OtherWords.between(
                "Good on the drivers of the lamps, short on weather, as said.",
                "Good on the drivers of the lamps; says nothing of the weather, as said."))
        .extracting(one -> one.part().words() + " > " + one.words())
        .containsExactly("lamps, short on > lamps; says nothing of the");
    assertThat(OtherWords.between("One two three four five six.", "1 two three four five 6."))
        .hasSize(2);
    assertThat(OtherWords.between("One two three four five.", "1 two three four 5.")).hasSize(1);
  }

  @Test
  void whatComesInStandsWithTheWordBeforeIt() {
    assertThat(OtherWords.between("One two.", "One and two."))
        .extracting(one -> one.part().words() + ">" + one.words())
        .containsExactly("One>One and");
    assertThat(OtherWords.between("One two.", "And one: One two."))
        .extracting(one -> one.part().words() + ">" + one.words())
        .containsExactly("One>And one: One");
    assertThat(OtherWords.between("One two.", "One two.")).isEmpty();
    assertThat(OtherWords.between("One two.", ""))
        .extracting(one -> one.part().words() + ">" + one.words())
        .containsExactly("One two.>");
  }

  /** One after the other, however they are taken, they make the other text. */
  @Test
  void takenTogetherTheyMakeTheOtherText() {
    String text =
        IntStream.range(0, 400).mapToObj(n -> "w" + n % 37).collect(Collectors.joining(" "));
    String other = text.replaceFirst("w3", "x").replaceFirst("w5 w6", "w5 and w6") + "\nMore.";
    String taken = text;
    for (OtherWords one : OtherWords.between(text, other)) {
      taken = one.part().replaced(taken, one.words()).orElseThrow();
    }
    assertThat(taken).isEqualTo(other);
  }

  @Test
  void anotherTextIsOneSuggestion() {
    String text =
        IntStream.range(0, 100).mapToObj(n -> "a b c d e" + n).collect(Collectors.joining(" "));
    String other = text.replace("a", "c");
    assertThat(OtherWords.between(text, other))
        .singleElement()
        .satisfies(one -> assertThat(one.words()).isEqualTo(other));
  }

  @Test
  void theLongestTextsThatShareNothingOrLittleAreCompared() {
    String ones = "a ".repeat(5_000).strip();
    String others = "b ".repeat(5_000).strip();
    String mixed = "b a c a ".repeat(1_250).strip();
    assertThat(OtherWords.between(ones, others)).hasSize(1);
    assertThat(OtherWords.between(ones, mixed)).hasSize(1);
    assertThat(OtherWords.between("\n".repeat(10_000), "a")).hasSize(1);
  }

  @Test
  void whatWasAgreedIsToBeReadAgainWhenItChanges() {
    assertThat(AnnotationState.AGREED.changed()).isEqualTo(AnnotationState.TO_BE_READ);
    assertThat(AnnotationState.DRAFT.changed()).isEqualTo(AnnotationState.DRAFT);
    assertThat(AnnotationState.named("to be read")).contains(AnnotationState.TO_BE_READ);
    assertThat(AnnotationState.named("done")).isEmpty();
  }
}
