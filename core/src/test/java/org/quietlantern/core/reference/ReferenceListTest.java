package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;

@DisplayName("A list of references is read as it was pasted")
class ReferenceListTest {
  private static final String TITLE = "Moths at dimmed verges: a paired count over two summers";

  private static Publication work(String family, int year) {
    return new ReadWork(
            Kind.ARTICLE,
            TITLE,
            List.of(
                new Contributor(
                    new PersonName(family, "Bea"), Contributor.AUTHOR, false, "", List.of())),
            Optional.of(PartialDate.read(Integer.toString(year)).orElseThrow()),
            Host.NONE,
            "",
            "",
            "",
            List.of(),
            "10.5555/verge.1",
            0,
            List.of())
        .publication();
  }

  private static List<String> texts(String pasted) {
    return ReferenceList.read(pasted).stream().map(ReferenceList.Listed::text).toList();
  }

  @DisplayName("The title is found in whatever style the entry is written")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "Oxlade, B. (2024). Moths at dimmed verges: A paired count over two summers. Night, 3(2), 1–9.",
        "[12] B. Oxlade, “Moths at dimmed verges: A paired count over two summers,” Night, vol. 3, 2024.",
        "Oxlade B. Moths at dimmed verges: a paired count over two summers. Night. 2024;3(2):1-9.",
        "Oxlade, Bea. \"Moths at Dimmed Verges: A Paired Count over Two Summers.\" Night 3 (2024): 1-9.",
        "Oxlade, B. 2024 'Moths at dimmed verges: a paired count over two summers', Night, vol. 3.",
        "OXLADE, Bea, 2024. Moths at dimmed verges: a paired count over two summers. In: Night."
      })
  void styles(String entry) {
    ReferenceList.Listed listed = ReferenceList.read(entry).get(0);
    assertThat(listed.titles()).contains(SameWork.titleKey(TITLE));
    assertThat(ReferenceList.fit(listed, work("Oxlade", 2024))).isEqualTo(ReferenceList.Fit.SURE);
    assertThat(ReferenceList.fit(listed, work("Somebody", 2024)))
        .isEqualTo(ReferenceList.Fit.PERHAPS);
    assertThat(ReferenceList.fit(listed, work("Oxlade", 1999)))
        .isEqualTo(ReferenceList.Fit.PERHAPS);
  }

  @DisplayName("DOIs and stable links alone are entries")
  @Test
  void bare() {
    List<ReferenceList.Listed> listed =
        ReferenceList.read(
            "10.5555/verge.1\nhttps://doi.org/10.5555/verge.2.\nhttps://lantern.example/p/0na0cr26j7\n");
    assertThat(listed)
        .extracting(ReferenceList.Listed::doi)
        .containsExactly("10.5555/verge.1", "10.5555/verge.2", "");
    assertThat(listed.get(2).link()).isEqualTo("0na0cr26j7");
    assertThat(ReferenceList.fit(listed.get(0), work("Any", 1990)))
        .isEqualTo(ReferenceList.Fit.SURE);
  }

  @DisplayName("Numbers, blank lines or indents divide entries; divided words are one again")
  @Test
  void divided() {
    assertThat(texts("References\n\n1. One of light at\n   night. 2020.\n2. Two. 2021.\n"))
        .containsExactly("One of light at night. 2020.", "Two. 2021.");
    assertThat(texts("One of light-\ning and moths.\n2020.\n\nTwo. 2021.\n"))
        .containsExactly("One of lighting and moths. 2020.", "Two. 2021.");
    assertThat(texts("One, 2020.\n   went on.\nTwo, 2021."))
        .containsExactly("One, 2020. went on.", "Two, 2021.");
  }

  @DisplayName("A saved page gives its words and the addresses behind them; nothing of it is run")
  @Test
  void page() {
    List<ReferenceList.Listed> listed =
        ReferenceList.read(
            "<html><head><title>x</title></head><body><script>alert('10.5555/no.1')</script>"
                + "<ol><li>Oxlade &amp; Berg (2024). Moths. <a href=\"https://doi.org/10.5555/yes.1\">full</a></li>"
                + "<li>Berg. Bats.</li></ol></body></html>");
    assertThat(listed).hasSize(2);
    assertThat(listed.get(0).text()).startsWith("Oxlade & Berg (2024). Moths.");
    assertThat(listed.get(0).doi()).isEqualTo("10.5555/yes.1");
    assertThat(listed.get(1).doi()).isEmpty();
  }

  @DisplayName("Whatever is pasted is read in time and to its bounds")
  @Test
  void bounds() {
    assertThat(ReferenceList.read("")).isEmpty();
    assertThat(ReferenceList.read("\n \n")).isEmpty();
    assertThat(ReferenceList.read("a. ".repeat(500_000)).get(0).text()).hasSize(2_000);
    assertThat(ReferenceList.read("One.\n".repeat(5_000))).hasSize(ReferenceList.MOST);
    assertThat(ReferenceList.read("<p>".repeat(100_000))).isEmpty();
  }
}
