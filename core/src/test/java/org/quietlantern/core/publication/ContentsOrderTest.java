package org.quietlantern.core.publication;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class ContentsOrderTest {
  private static Host in(String journal, String volume, String issue, String page) {
    return new Host(journal, "", volume, issue, page, "");
  }

  @DisplayName("The latest issue first, its pages as they follow; what has no place comes last")
  @Test
  void order() {
    List<Host> order =
        List.of(
            in("Annals of Dusk", "2", "1", "5"),
            in("Journal of Night", "12", "10", "9"),
            in("journal of night", "12", "10", "101"),
            in("Journal of Night", "12", "10", "e7a"),
            in("Journal of Night", "12", "9", "1"),
            in("Journal of Night", "12", "", "1"),
            in("Journal of Night", "9", "3-4", "7"),
            in("Journal of Night", "", "", "12"),
            in("Journal of Night", "", "", ""));
    List<Host> sorted = new ArrayList<>(order);
    Collections.shuffle(sorted, new Random(7));
    sorted.sort(new ContentsOrder());
    assertThat(sorted)
        .extracting(host -> host.volume() + "/" + host.issue() + "/" + host.firstPage())
        .containsExactly(
            "2/1/5",
            "12/10/e7a",
            "12/10/9",
            "12/10/101",
            "12/9/1",
            "12//1",
            "9/3-4/7",
            "//12",
            "//");
  }
}
