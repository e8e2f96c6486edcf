package org.quietlantern.core.citation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

class PlainCitationTest {
  private static final PersonName SEY = new PersonName("Sey", "Adaeze");

  private static String cite(
      String title, List<PersonName> authors, Optional<PartialDate> date, Host host) {
    return PlainCitation.of(
        new Publication(
            title,
            "",
            Kind.ARTICLE,
            VersionKind.FINAL,
            authors,
            date,
            host,
            "Hollow Press",
            "en",
            "",
            List.of(),
            List.of(),
            "",
            Relations.NONE,
            0,
            false,
            Studied.NONE,
            Optional.empty(),
            Cited.UNKNOWN));
  }

  private static final Optional<PartialDate> YEAR = PartialDate.read("2025");

  @Test
  void authorsAreJoinedOrCounted() {
    assertThat(cite("T", List.of(SEY), YEAR, Host.NONE)).startsWith("Sey, Adaeze (2025). T.");
    assertThat(cite("T", List.of(SEY, SEY, SEY), YEAR, Host.NONE))
        .startsWith("Sey, Adaeze; Sey, Adaeze and Sey, Adaeze (2025).");
    assertThat(cite("T", Collections.nCopies(9, SEY), YEAR, Host.NONE))
        .startsWith("Sey, Adaeze and 8 others (2025).");
    assertThat(cite("T", List.of(), YEAR, Host.NONE)).startsWith("(2025). T.");
  }

  @Test
  void whatIsMissingLeavesNoHole() {
    assertThat(cite("Why?", List.of(SEY), Optional.empty(), Host.NONE))
        .isEqualTo("Sey, Adaeze (no date). Why? Hollow Press.");
    assertThat(cite("T", List.of(SEY), YEAR, new Host("Lamp & Landscape", "", "9", "", "7", "")))
        .isEqualTo("Sey, Adaeze (2025). T. Lamp & Landscape 9, 7.");
    assertThat(cite("T", List.of(SEY), YEAR, new Host("Lamp & Landscape", "", "9", "", "7", "7")))
        .as("one page is one number")
        .isEqualTo("Sey, Adaeze (2025). T. Lamp & Landscape 9, 7.");
    assertThat(cite("T", List.of(SEY), YEAR, new Host("Lamp & Landscape", "", "", "", "", "")))
        .isEqualTo("Sey, Adaeze (2025). T. Lamp & Landscape.");
  }
}
