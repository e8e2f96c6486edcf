package org.quietlantern.core.citation;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

/** Sixteen made-up works, one of each kind that is cited. */
public final class Kinds {
  private static final Host ANNALS =
      new Host("Annals of Verge Ecology", "", "12", "3", "144", "156");

  private Kinds() {}

  public static List<Publication> all() {
    return List.of(
        work(Kind.ARTICLE, "Clock genes of moths", "2025-03", ANNALS, "", "10.5555/a.1", three()),
        work(Kind.ARTICLE, "Lamps and rest", "2024", ANNALS, "", "", two()),
        work(Kind.ARTICLE, "Nights of many", "2023", ANNALS, "", "10.5555/a.3", many()),
        work(
            Kind.ARTICLE,
            "Kerbs by night",
            "2022",
            new Host("Field Instruments", "", "9", "", "e104", ""),
            "",
            "10.5555/a.4",
            author("Sey", "Adaeze")),
        work(Kind.BOOK, "Night walks", "2019", Host.NONE, "Ternhollow Press", "", one()),
        work(
            Kind.BOOK,
            "The lit verge",
            "2018",
            Host.NONE,
            "Ternhollow Press",
            "",
            of("editor", "Berg", "Bo"),
            of("editor", "Sey", "Adaeze")),
        work(
            Kind.CHAPTER,
            "Moths at lamps",
            "2018",
            new Host("The lit verge", "", "", "", "12", "30"),
            "Ternhollow Press",
            "",
            author("Oxlade", "Rhona"),
            of("editor", "Berg", "Bo")),
        work(Kind.THESIS, "Pesticide use and skyglow", "2018", Host.NONE, UNIVERSITY, "", one()),
        work(
            Kind.PREPRINT,
            "Amber lamps and bats",
            "2026-01-15",
            Host.NONE,
            "Lampshade Preprints",
            "10.5555/p.1",
            one()),
        work(Kind.REPORT, "Part-night lighting", "2021", Host.NONE, "County Press", "", body()),
        work(
            Kind.CONFERENCE_PAPER,
            "Counting at dusk",
            "2022",
            new Host("Proceedings of the dusk meeting", "", "", "", "1", "8"),
            "Ternhollow Press",
            "",
            two()),
        work(Kind.DATASET, "Trap counts", "2021", Host.NONE, UNIVERSITY, "10.5555/d.1", one()),
        work(
            Kind.EDITORIAL,
            "Light and rest",
            "2024",
            new Host("Annals of Verge Ecology", "", "11", "1", "1", ""),
            "",
            "10.5555/e.1",
            one()),
        work(Kind.BOOK, "Lamps of old", "", Host.NONE, "Ternhollow Press", "", two()),
        work(
            Kind.ARTICLE,
            "Vleermuizen bij lantaarns",
            "2020",
            ANNALS,
            "",
            "10.5555/a.15",
            author("van der Berg", "Jan Pieter"),
            author("King Jr.", "Martin")),
        work(Kind.ARTICLE, "News of the verge", "2020", ANNALS, "", "10.5555/a.16"));
  }

  private static final String UNIVERSITY = "Lanternbridge University";

  private static Contributor[] one() {
    return new Contributor[] {author("Oxlade", "Rhona")};
  }

  private static Contributor[] two() {
    return new Contributor[] {author("Oxlade", "Rhona"), author("Berg", "Bo")};
  }

  private static Contributor[] three() {
    return Stream.concat(Stream.of(two()), Stream.of(author("Sey", "Adaeze")))
        .toArray(Contributor[]::new);
  }

  private static Contributor[] many() {
    return IntStream.rangeClosed(1, 22)
        .mapToObj(i -> author("Author" + (char) ('A' + i - 1), "Ann Bea"))
        .toArray(Contributor[]::new);
  }

  private static Contributor body() {
    return new Contributor(
        new PersonName("Verge Trust", ""), Contributor.AUTHOR, true, "", List.of());
  }

  private static Contributor author(String family, String given) {
    return of(Contributor.AUTHOR, family, given);
  }

  private static Contributor of(String role, String family, String given) {
    return new Contributor(new PersonName(family, given), role, false, "", List.of());
  }

  private static Publication work(
      Kind kind,
      String title,
      String date,
      Host host,
      String publisher,
      String doi,
      Contributor... people) {
    Optional<PartialDate> when = PartialDate.read(date);
    boolean dutch = title.startsWith("Vleer");
    return new Publication(
        dutch ? "Bats at lanterns" : title,
        dutch ? title : "",
        kind,
        VersionKind.of(kind),
        Contributor.authors(List.of(people)),
        when,
        host,
        publisher,
        dutch ? "nl" : "en",
        "",
        List.of(),
        List.of(),
        doi,
        Relations.NONE,
        0,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        when,
        List.of(),
        List.of(people),
        List.of());
  }
}
