package org.quietlantern.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.holdings.Way;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

class TextWaysTest {
  /**
   * {@code copies}: version, use, open or closed; {@code ways}: the words in order, with the end of
   * their addresses.
   */
  @DisplayName(
      "T1: open copy, holdings, another version, shelf, request, author; each word of access")
  @ParameterizedTest(name = "{0}, copies {1}, by {3}")
  @CsvSource({
    "OPEN, final page open, 10.5555/a, false, open copy >0; write to the author",
    "OPEN, final file open + final page open, , true, open copy >1; open copy >0; ask for a copy; write to the author",
    "OPEN, preprint file open, 10.5555/a, false, another version >0; write to the author",
    "OPEN, final about closed + accepted file open, 10.5555/a, true, another version >1; ask for a copy; write to the author",
    "OPEN, , 10.5555/a, false, at the publisher >10.5555/a; write to the author",
    "OPEN, , , false, write to the author",
    "HELD, , 10.5555/a, true, at the publisher >10.5555/a; ask for a copy; write to the author",
    "HELD, final about closed, , false, at the publisher >0; write to the author",
    "HELD, final about closed + preprint file open, 10.5555/a, false, at the publisher >0; another version >1; write to the author",
    "REQUEST, final about closed, 10.5555/a, true, ask for a copy; write to the author",
    "ABSTRACT, final about closed, 10.5555/a, false, write to the author",
    "NONE, , , false, write to the author",
    "REQUEST, final about closed, 10.5555/a, true shelf, on the shelf; ask for a copy; write to the author",
    "REQUEST, final about closed, 10.5555/a, true own, at the publisher >0; ask for a copy; write to the author",
    "ABSTRACT, preprint file open, 10.5555/a, false own shelf, at the publisher >10.5555/a; another version >0; on the shelf; write to the author",
    "HELD, , 10.5555/a, false own, at the publisher >10.5555/a; write to the author",
  })
  void order(Access access, String copies, String doi, String means, String ways) {
    Publication publication = publication(copies, doi == null ? "" : doi);
    Way way = new Way(access, "as it is", Optional.empty());
    List<String> found =
        new TextWays("https://names.example/")
                .of(
                    publication,
                    new TextWays.Reach(
                        way, means(means, "own"), means(means, "shelf"), means(means, "true")))
                .stream()
                .map(w -> w.what().word() + (w.address().isEmpty() ? "" : " >" + end(w.address())))
                .toList();
    assertThat(String.join("; ", found)).isEqualTo(ways);
  }

  private static Optional<String> means(String all, String one) {
    return Optional.of(one).filter(all::contains);
  }

  private static String end(String address) {
    return address.replaceFirst("https://(names|places)\\.example/", "");
  }

  private static Publication publication(String copies, String doi) {
    List<Copy> all = new ArrayList<>();
    for (String copy : copies == null ? new String[0] : copies.split(" \\+ ")) {
      String[] parts = copy.split(" ");
      all.add(
          new Copy(
              "https://places.example/" + all.size(),
              Copy.Use.valueOf(parts[1].toUpperCase(java.util.Locale.ROOT)),
              VersionKind.valueOf(parts[0].toUpperCase(java.util.Locale.ROOT)),
              parts[2].equals("open")));
    }
    return new Publication(
        "Lamps",
        "",
        Kind.ARTICLE,
        VersionKind.FINAL,
        List.of(new PersonName("Oduya", "Maren")),
        Optional.empty(),
        Host.NONE,
        "",
        "en",
        "",
        List.of(),
        List.of(),
        doi,
        Relations.NONE,
        0,
        true,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        Optional.empty(),
        List.of(),
        List.of(),
        all);
  }
}
