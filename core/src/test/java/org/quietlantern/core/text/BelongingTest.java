package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class BelongingTest {
  private static final String TITLE = "Moths and street lamps";
  private static final String DOI = "10.5555/ql.7";

  private static boolean belongs(String title, String... pages) {
    List<TakenText.Page> all = Stream.of(pages).map(p -> new TakenText.Page("", p)).toList();
    return Belonging.of(new TakenText(TakenText.Form.PDF, title, all, List.of(), ""), TITLE, DOI);
  }

  @Test
  void byTitleOrDoiInTheFirstPages() {
    assertThat(belongs("", "MOTHS AND STREET\nLAMPS", "x")).isTrue();
    assertThat(belongs("", "Deposited copy", "https://doi.org/10.5555/QL.7")).isTrue();
    assertThat(belongs("Moths and street lamps", "scanned")).isTrue();
    assertThat(belongs("", "Bats and bridges", "", "", "Moths and street lamps")).isFalse();
    assertThat(belongs("")).isFalse();
  }
}
