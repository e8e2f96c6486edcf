package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.link.PublicId;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;

class OpenUrlReaderTest {
  private static Publication read(String query) {
    return OpenUrlReader.read(query).orElseThrow().publication();
  }

  @DisplayName("What our own writer writes is read as it was")
  @Test
  void thereAndBack() {
    Publication written =
        read(
            "rft.genre=article&rft.atitle=Lamps+%26+moths&rft.jtitle=Dusk&rft.issn=9999-1004"
                + "&rft.volume=7&rft.issue=2&rft.spage=11&rft.epage=19&rft.date=2024"
                + "&rft.aulast=Krajčovič&rft.aufirst=Ola&rft.au=Adaeze+Sey&rft.pub=Dusk+Press"
                + "&rft_id=info:doi/10.5555/a(1)&rft_id=https://lantern.example/p/abc");
    Publication again = read(OpenUrl.of(written, ""));
    assertThat(again).isEqualTo(written);
    assertThat(again.authors())
        .containsExactly(new PersonName("Krajčovič", "Ola"), new PersonName("Sey", "Adaeze"));
    assertThat(again.host()).isEqualTo(new Host("Dusk", "9999-1004", "7", "2", "11", "19"));
    assertThat(again.issued()).isEqualTo(PartialDate.read("2024"));
    assertThat(again.doi()).isEqualTo("10.5555/a(1)");
  }

  @DisplayName("The keys of before 1.0, pages in one value, a name as it is sorted")
  @Test
  void before() {
    Publication old =
        read(
            "sid=elsewhere&genre=article&atitle=Lamps&title=Dusk&volume=7&pages=11-19&date=20240310"
                + "&au=Sey%2C+Adaeze&id=doi:10.5555/x");
    assertThat(old.title()).isEqualTo("Lamps");
    assertThat(old.host()).isEqualTo(new Host("Dusk", "", "7", "", "11", "19"));
    assertThat(old.authors()).containsExactly(new PersonName("Sey", "Adaeze"));
    assertThat(old.year()).contains(2024);
    assertThat(old.doi()).isEqualTo("10.5555/x");
  }

  @ParameterizedTest
  @CsvSource({
    "genre=bookitem&atitle=a&btitle=b, CHAPTER, b",
    "genre=book&btitle=a, BOOK, ''",
    "rft_val_fmt=info:ofi/fmt:kev:mtx:dissertation&rft.title=a, THESIS, ''",
    "rft_val_fmt=info:ofi/fmt:kev:mtx:book&rft.title=a, BOOK, ''",
    "genre=proceeding&atitle=a&title=b, CONFERENCE_PAPER, b",
    "genre=unknown&atitle=a, ARTICLE, ''",
  })
  void kinds(String query, Kind kind, String around) {
    assertThat(read(query).kind()).isEqualTo(kind);
    assertThat(read(query).title()).isEqualTo("a");
    assertThat(read(query).host().title()).isEqualTo(around);
  }

  @DisplayName("With nothing that names a work it describes none")
  @ParameterizedTest
  @ValueSource(
      strings = {"", "&&&", "=", "genre=article", "rft.aulast=Sey&date=2024", "atitle=%20+", "%=%"})
  void nothing(String query) {
    assertThat(OpenUrlReader.read(query)).isEmpty();
  }

  @DisplayName("Markup, broken encoding, numbers that are none, and a flood of keys")
  @Test
  void odd() {
    Publication odd =
        read("atitle=%3Cscript%3Ealert(1)%3C/script%3E %E2%28 %zz&isbn=12&date=soon&issn=%00");
    assertThat(odd.title()).isEqualTo("alert(1) \uFFFD( %zz");
    assertThat(odd.identifiers()).isEmpty();
    assertThat(odd.date()).isEqualTo(Optional.empty());
    assertThat(odd.host()).isEqualTo(Host.NONE);
    assertThat(read("atitle=" + "a".repeat(50_000)).title()).hasSize(1_001);
    assertThat(read("atitle=a&" + "au=x&".repeat(100_000)).title()).isEqualTo("a");
  }

  @DisplayName("A stable link of ours names the publication, a mistyped one does not")
  @Test
  void ours() {
    String id = PublicId.random(new Random(1)).text();
    assertThat(OpenUrlReader.read("rft_id=https://l.example/p/" + id).orElseThrow().links())
        .isEqualTo(List.of(id));
    assertThat(OpenUrlReader.read("rft_id=https://l.example/p/0000000001")).isEmpty();
  }
}
