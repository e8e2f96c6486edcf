package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

@DisplayName("The page that is quoted is the page that is printed")
class PrintedNumbersTest {
  @Test
  void atFootOrHead() {
    assertThat(PrintedNumbers.of(List.of("Moths\nat lamps\n20", "more\n21\n", "end\n22")))
        .contains(List.of("20", "21", "22"));
    assertThat(PrintedNumbers.of(List.of("204 Moths and Bats\nat lamps", "Oduya 2025 205\nmore")))
        .contains(List.of("204", "205"));
  }

  @Test
  void aPageWithoutOneIsCounted() {
    assertThat(PrintedNumbers.of(List.of("Moths\n7", "a figure", "more\n9")))
        .contains(List.of("7", "8", "9"));
  }

  @Test
  void frontMatterHasRomanOnesOrNone() {
    assertThat(
            PrintedNumbers.of(
                List.of("A title", "Contents\nii", "Moths\n1", "2 lamps", "x\n3", "y\n4")))
        .contains(List.of("[1]", "ii", "1", "2", "3", "4"));
  }

  @Test
  void figuresThatDoNotGoOnAreNone() {
    assertThat(PrintedNumbers.of(List.of("1998 was dry\n12", "in 2003\n12", "x\n40"))).isEmpty();
    assertThat(PrintedNumbers.of(List.of("one page\n17"))).isEmpty();
    assertThat(PrintedNumbers.of(List.of())).isEmpty();
  }
}
