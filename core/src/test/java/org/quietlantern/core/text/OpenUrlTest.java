package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

class OpenUrlTest {
  private static final String LINK = "https://lantern.example/p/abcdefghjk";

  private static Publication publication(Kind kind, Host host, List<Identifier> numbers) {
    return new Publication(
        "Lamps & moths: a = b?",
        "",
        kind,
        VersionKind.FINAL,
        List.of(new PersonName("Krajčovič", "Ola"), new PersonName("Sey", "Adaeze")),
        PartialDate.read("2025-03"),
        host,
        "Dusk Press",
        "en",
        "",
        List.of(),
        List.of(),
        "10.5555/a(1)",
        Relations.NONE,
        0,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        PartialDate.read("2024"),
        numbers,
        List.of(),
        List.of());
  }

  private static List<String> keys(String query) {
    return Arrays.stream(query.split("&"))
        .map(pair -> URLDecoder.decode(pair, StandardCharsets.UTF_8))
        .toList();
  }

  @DisplayName("Z39.88-2004, journal: every key that is known, the year that is cited, both names")
  @Test
  void article() {
    Host host = new Host("Night", "9999-1004", "7", "2", "103", "124");
    String query = OpenUrl.of(publication(Kind.ARTICLE, host, List.of()), LINK);
    assertThat(query).matches("[\\x21-\\x7e]+").doesNotContain("+", "č");
    assertThat(keys(query))
        .containsExactly(
            "url_ver=Z39.88-2004",
            "ctx_ver=Z39.88-2004",
            "rft_val_fmt=info:ofi/fmt:kev:mtx:journal",
            "rft.genre=article",
            "rft.atitle=Lamps & moths: a = b?",
            "rft.jtitle=Night",
            "rft.aulast=Krajčovič",
            "rft.aufirst=Ola",
            "rft.au=Adaeze Sey",
            "rft.date=2024",
            "rft.issn=9999-1004",
            "rft.volume=7",
            "rft.issue=2",
            "rft.spage=103",
            "rft.epage=124",
            "rft.pub=Dusk Press",
            "rft_id=info:doi/10.5555/a(1)",
            "rft_id=" + LINK);
  }

  @ParameterizedTest
  @CsvSource({
    "BOOK, book, book, rft.btitle",
    "CHAPTER, book, bookitem, rft.atitle",
    "CONFERENCE_PAPER, book, proceeding, rft.atitle",
    "REPORT, book, report, rft.title",
    "THESIS, dissertation, , rft.title",
    "PREPRINT, journal, preprint, rft.atitle",
    "REVIEW, journal, article, rft.atitle",
  })
  void kinds(Kind kind, String format, String genre, String title) {
    List<Identifier> numbers = Identifier.of(Identifier.ISBN, "9780306406157").stream().toList();
    List<String> keys = keys(OpenUrl.of(publication(kind, Host.NONE, numbers), LINK));
    assertThat(keys)
        .contains("rft_val_fmt=info:ofi/fmt:kev:mtx:" + format, title + "=Lamps & moths: a = b?")
        .anyMatch(key -> key.startsWith("rft.isbn=978"));
    assertThat(keys.contains("rft.genre=" + genre)).isEqualTo(genre != null);
  }

  @DisplayName("T1: the wait is the middle of what it took, with n")
  @Test
  void waits() {
    assertThat(Wait.of(List.of())).isEmpty();
    assertThat(Wait.of(List.of(9, 1, 4))).hasValue(new Wait(4, 3));
    assertThat(Wait.of(List.of(4, 1))).hasValue(new Wait(4, 2));
    assertThat(new Wait(4, 3).spoken()).isEqualTo("usually 4 days, of 3");
    assertThat(new Wait(0, 1).spoken()).isEqualTo("usually the same day, of 1");
  }
}
