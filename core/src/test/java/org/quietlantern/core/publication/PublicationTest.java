package org.quietlantern.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class PublicationTest {
  @ParameterizedTest
  @CsvSource({
    "2026, 2026-01-01, true",
    "2026-11, 2026-11-01, false",
    "2026-11-24, 2026-11-24, false",
    "2024-02-29, 2024-02-29, false",
    "' 2026 ', 2026-01-01, true"
  })
  void aDateIsKnownAsFarAsItIsGiven(String text, LocalDate earliest, boolean onlyYear) {
    PartialDate date = PartialDate.read(text).orElseThrow();
    assertThat(date.earliest()).isEqualTo(earliest);
    assertThat(date.onlyYear()).isEqualTo(onlyYear);
    assertThat(date).hasToString(text.strip());
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "soon", "26", "2026-13", "2026-02-30", "0000", "2026/11", "c2026"})
  void whatIsNoDateIsNone(String text) {
    assertThat(PartialDate.read(text)).isEmpty();
  }

  @Test
  void zerosStandForWhatASourceDoesNotKnow() {
    assertThat(PartialDate.read("2026-00-00")).hasValue(new PartialDate(2026, 0, 0));
    assertThat(PartialDate.read("2026-11-00")).hasValue(new PartialDate(2026, 11, 0));
    assertThat(PartialDate.read("2026-00-11")).isEmpty();
  }

  @ParameterizedTest
  @EnumSource(Kind.class)
  void everyKindIsFoundByItsWord(Kind kind) {
    assertThat(Kind.named(kind.word().toUpperCase(java.util.Locale.ROOT))).hasValue(kind);
  }

  @Test
  void namesAreSpokenAndSorted() {
    assertThat(new PersonName("van der Kolk", "Bram").spoken()).isEqualTo("Bram van der Kolk");
    assertThat(new PersonName("van der Kolk", "Bram").sorted()).isEqualTo("van der Kolk, Bram");
    assertThat(new PersonName("Tern Hollow Observatory", "").sorted())
        .isEqualTo("Tern Hollow Observatory");
    assertThatThrownBy(() -> new PersonName(" ", "Bram"))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void suppliedTextIsCleaned() {
    assertThat(Text.clean(" Cafe\u0301 \n\t at\u00a0night\u0000 ")).isEqualTo("Café at night");
  }
}
