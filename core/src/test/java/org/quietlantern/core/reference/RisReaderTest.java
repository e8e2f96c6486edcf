package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.citation.Kinds;
import org.quietlantern.core.publication.Publication;

@DisplayName("RIS is read as programs write it")
class RisReaderTest {
  private static final int DAMAGED = 200;

  private static String written() {
    List<Reference> references =
        Kinds.all().stream()
            .map(
                work ->
                    new Reference(
                        EntryKeys.of(work), work, "https://l.example/p", List.of("why"), ""))
            .toList();
    return new RisWriter(Included.ALL).file(references);
  }

  @DisplayName("What is written here is read back equal")
  @Test
  void back() {
    ReadFile file = RisReader.read(written());
    assertThat(file.problems()).isEmpty();
    assertThat(file.references()).hasSameSizeAs(Kinds.all());
    for (int i = 0; i < Kinds.all().size(); i++) {
      Publication work = Kinds.all().get(i);
      Reference reference = file.references().get(i).reference();
      Publication read = reference.work();
      assertThat(read.title()).isEqualTo(work.title());
      assertThat(read.kind()).isEqualTo(work.kind());
      assertThat(read.authors()).isEqualTo(work.authors());
      assertThat(read.host()).isEqualTo(work.host());
      assertThat(read.issued()).isEqualTo(work.issued());
      assertThat(read.doi()).isEqualTo(work.doi());
      assertThat(read.publisher()).isEqualTo(work.publisher());
      assertThat(reference.key()).isEqualTo(EntryKeys.of(work));
      assertThat(reference.link()).isEqualTo("https://l.example/p");
      assertThat(reference.notes()).containsExactly("why");
    }
  }

  @DisplayName("One space or two, values that go on, old tags, ends that are missing")
  @Test
  void dialects() {
    ReadFile file =
        RisReader.read(
            "\uFEFFProvider: somebody\r\rTY - JOUR\rT1 - Moths at\rlamps\rA1 - King,Martin,Jr.\r"
                + "A1 - Verge Trust\rJF - Annals\rY1 - 2024/3//spring\rSP - 12-30\r"
                + "UR - https://doi.org/10.5555/a.1\rN2 - Words.\r"
                + "TY  - BOOK\rBT  - Night walks\rPY  - 2019\rER  -");
    assertThat(file.problems())
        .extracting(problem -> problem.line() + ": " + problem.sentence())
        .containsExactly("3: The entry does not end before the next entry does.");
    Publication first = file.references().get(0).reference().work();
    assertThat(first.title()).isEqualTo("Moths at lamps");
    assertThat(first.contributors().get(0).name().sorted()).isEqualTo("King, Jr., Martin");
    assertThat(first.contributors().get(1).body()).isTrue();
    assertThat(first.host().pages("-")).isEqualTo("12-30");
    assertThat(first.doi()).isEqualTo("10.5555/a.1");
    assertThat(first.issued()).hasToString("Optional[2024-03]");
    assertThat(first.abstractText()).isEqualTo("Words.");
    assertThat(file.references().get(1).reference().work().title()).isEqualTo("Night walks");
  }

  @DisplayName("What is broken is told with its line")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "TY  - JOUR~AU  - Sey, A~ER  -     | 1: The entry has no title.",
        "AU  - Sey, A                      | 1: “AU” stands outside of an entry.",
        "TY  - JOUR~TI  - A                | 1: The entry does not end before the file does.",
      })
  void broken(String text, String wanted) {
    assertThat(RisReader.read(text.strip().replace('~', '\n')).problems())
        .extracting(problem -> problem.line() + ": " + problem.sentence())
        .containsExactly(wanted);
  }

  @DisplayName("Neither damage nor size stops it")
  @Test
  void damaged() {
    String good = written();
    Random random = new Random(18);
    for (int n = 0; n < DAMAGED; n++) {
      int at = random.nextInt(good.length());
      int end = Math.min(good.length(), at + 1 + random.nextInt(200));
      String piece = good.substring(at, end);
      String bad =
          switch (n % 3) {
            case 0 -> good.substring(0, at) + good.substring(end);
            case 1 -> good.substring(0, end) + piece + good.substring(end);
            default ->
                good.substring(0, at) + new StringBuilder(piece).reverse() + good.substring(end);
          };
      ReadFile file = RisReader.read(bad);
      assertThat(file.references()).isNotEmpty();
      assertThat(file.references())
          .allSatisfy(found -> assertThat(found.reference().work().title()).isNotBlank());
    }
    String crowd = "TY  - JOUR\nTI  - T\n" + "AU  - Sey, Ada\n".repeat(100_000) + "ER  - \n";
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(30),
        () -> {
          assertThat(RisReader.read(crowd).references().get(0).reference().work().authors())
              .hasSize(100_000);
          assertThat(RisReader.read("x\n".repeat(500_000)).references()).isEmpty();
          String goesOn = "TY  - JOUR\nTI  - T\n" + "x\n".repeat(500_000) + "ER  - \n";
          assertThat(RisReader.read(goesOn).references()).hasSize(1);
        });
  }
}
