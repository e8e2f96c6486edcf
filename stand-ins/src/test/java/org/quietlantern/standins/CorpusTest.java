package org.quietlantern.standins;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.quietlantern.standins.corpus.Corpus;
import org.quietlantern.standins.corpus.Revision;

class CorpusTest {
  private final List<Revision> corpus = Corpus.of(1887);

  @Test
  void theSameSeedMakesTheSameLiterature() {
    assertThat(Corpus.of(1887)).isEqualTo(corpus);
    assertThat(Corpus.of(1888)).isNotEqualTo(corpus);
  }

  @Test
  void atLeastThreeHundredWorksAreThereAndMoreComeOnMostDays() {
    List<LocalDate> days =
        corpus.stream().map(r -> r.from().atZone(ZoneOffset.UTC).toLocalDate()).toList();
    assertThat(days).filteredOn(day -> day.isBefore(Corpus.TODAY)).hasSizeGreaterThan(300);
    assertThat(days).filteredOn(day -> day.isAfter(Corpus.TODAY)).hasSizeGreaterThan(200);
    assertThat(days).doesNotContain(Corpus.TODAY.plusDays(7));
  }

  @Test
  void everyIdentifierIsInTheTestPrefixAndNoTitleTwice() {
    assertThat(corpus).allSatisfy(r -> assertThat(r.work().doi()).startsWith("10.5555/"));
    assertThat(corpus.stream().filter(r -> r.work().number() <= 380).map(r -> r.work().title()))
        .hasSizeGreaterThan(380);
    assertThat(corpus.stream().map(r -> r.work().number()).distinct().count())
        .isEqualTo(corpus.stream().mapToInt(r -> r.work().number()).max().orElseThrow());
  }

  @Test
  void someRecordsChangeAndSomeAreTakenBack() {
    assertThat(corpus).filteredOn(Revision::deleted).hasSizeGreaterThan(3);
  }
}
