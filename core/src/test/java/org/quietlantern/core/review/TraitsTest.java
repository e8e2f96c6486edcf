package org.quietlantern.core.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.core.review.Trait.Kind.AUTHOR;
import static org.quietlantern.core.review.Trait.Kind.HEADING;
import static org.quietlantern.core.review.Trait.Kind.JOURNAL;
import static org.quietlantern.core.review.Trait.Kind.REFERENCE;
import static org.quietlantern.core.review.Trait.Kind.WORD;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

class TraitsTest {
  private static Publication work(
      String title, List<PersonName> authors, Host host, List<HeadingUse> headings, Cited cited) {
    return new Publication(
        title,
        "",
        Kind.ARTICLE,
        VersionKind.FINAL,
        authors,
        Optional.empty(),
        host,
        "",
        "en",
        "Measured in 12 verges.",
        headings,
        List.of("Night-time light"),
        "",
        Relations.NONE,
        0,
        false,
        Studied.NONE,
        Optional.empty(),
        cited);
  }

  @DisplayName(
      "Each once: headings, authors, what is cited, the journal, words of title and keywords")
  @Test
  void all() {
    HeadingUse dimming = new HeadingUse("x:dimming", "Part-night lighting", true, List.of());
    HeadingUse again = new HeadingUse("x:dimming", "Part-night lighting", false, List.of("trials"));
    assertThat(
            Traits.of(
                work(
                    "Dimming of Vergés",
                    List.of(new PersonName("Oxlade", "Ada")),
                    new Host("Annals of Verges", "", "3", "", "", ""),
                    List.of(dimming, again),
                    new Cited(true, List.of("10.5555/verge.1")))))
        .containsExactlyInAnyOrder(
            new Trait(HEADING, "Part-night lighting"),
            new Trait(AUTHOR, "Ada Oxlade"),
            new Trait(REFERENCE, "10.5555/verge.1"),
            new Trait(JOURNAL, "Annals of Verges"),
            new Trait(WORD, "dimming"),
            new Trait(WORD, "verges"),
            new Trait(WORD, "night"),
            new Trait(WORD, "time"),
            new Trait(WORD, "light"));
  }

  @DisplayName("Of what is known by its title only, its words")
  @Test
  void little() {
    assertThat(Traits.of(work("Bats", List.of(), Host.NONE, List.of(), Cited.UNKNOWN)))
        .contains(new Trait(WORD, "bats"))
        .allMatch(trait -> trait.kind() == WORD);
  }
}
