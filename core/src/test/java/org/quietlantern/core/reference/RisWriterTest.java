package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.core.exchange.ExchangeTest.READ;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

/** RIS, line by line. */
class RisWriterTest {
  @DisplayName("C5: an entry in RIS, line by line")
  @Test
  void ris() {
    String ris =
        new RisWriter(Included.ALL)
            .entry(new Reference("abc", READ, "http://x/p/abc", List.of("why\nnot"), ""));
    assertThat(ris)
        .isEqualTo(
            """
            TY  - JOUR
            ID  - abc
            TI  - The dimming of verges: a trial
            AU  - Oduya, Maren
            ED  - Sey, Adaeze
            AU  - Tern Hollow Observatory,
            PY  - 2026
            DA  - 2026/03
            T2  - Annals of Verge Ecology
            JO  - Annals of Verge Ecology
            SN  - 9999-0011
            VL  - 14
            IS  - 2
            SP  - 113
            EP  - 129
            PB  - Hollow Press
            LA  - en
            DO  - 10.5555/ave.14.2.113
            UR  - http://x/p/abc
            AB  - Visits rose by 41 %.
            KW  - Road verges
            KW  - Lepidoptera
            KW  - bramble
            N1  - Correction, 2026-05-02, doi:10.5555/ave.15.1.90
            N1  - why not
            ER  -\s

            """
                .replace("\n", "\r\n"));
  }

  @DisplayName(
      "C4: a chapter, a body with a comma, keywords once, a retraction, the year of the book")
  @Test
  void risOfAChapter() {
    PersonName body = new PersonName("Ministry of Roads, Night Office", "");
    Publication chapter =
        new Publication(
            "Verges after dusk",
            "",
            Kind.CHAPTER,
            VersionKind.ACCEPTED,
            List.of(body),
            PartialDate.read("2023-10"),
            new Host("Roads and Wildlife", "", "", "", "11", "30"),
            "",
            "en",
            "",
            List.of(new HeadingUse("urn:h:1", "Road verges", false, List.of())),
            List.of("road verges", "Dusk"),
            "",
            new Relations("", "", List.of(new Relations.Notice("retraction", "10.5555/n.1", ""))),
            0,
            false,
            Studied.NONE,
            Optional.empty(),
            Cited.UNKNOWN,
            PartialDate.read("2024"),
            List.of(),
            List.of(new Contributor(body, "author", true, "", List.of())),
            List.of());
    String ris = new RisWriter(Included.ALL).entry(Reference.of("k", chapter, "http://x/p/k"));
    assertThat(ris.lines())
        .containsExactly(
            "TY  - CHAP",
            "ID  - k",
            "TI  - Verges after dusk",
            "AU  - Ministry of Roads Night Office,",
            "PY  - 2024",
            "DA  - 2024",
            "M3  - chapter, accepted manuscript",
            "T2  - Roads and Wildlife",
            "BT  - Roads and Wildlife",
            "SP  - 11",
            "EP  - 30",
            "LA  - en",
            "UR  - http://x/p/k",
            "KW  - Road verges",
            "KW  - Dusk",
            "N1  - Retraction, doi:10.5555/n.1",
            "ER  - ",
            "");
  }
}
