package org.quietlantern.core.citation;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.shelf.StyleShelf;
import org.quietlantern.core.publication.*;

class CitedItemTest {
  static final StyleShelf SHELF = new StyleShelf();

  static Publication work(
      Kind kind,
      String title,
      Host host,
      String publisher,
      String doi,
      int pages,
      String date,
      Contributor... people) {
    return new Publication(
        title,
        "",
        kind,
        VersionKind.of(kind),
        Contributor.authors(List.of(people)),
        PartialDate.read(date),
        host,
        publisher,
        "en",
        "",
        List.of(),
        List.of(),
        doi,
        Relations.NONE,
        pages,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        PartialDate.read(date),
        List.of(),
        List.of(people),
        List.of());
  }

  static Contributor a(String family, String given) {
    return new Contributor(new PersonName(family, given), "author", false, "", List.of());
  }

  static Contributor e(String family, String given) {
    return new Contributor(new PersonName(family, given), "editor", false, "", List.of());
  }

  @Test
  void show() {
    List<Publication> all =
        List.of(
            work(
                Kind.ARTICLE,
                "Clock genes and caterpillar abundance of moths",
                new Host("Beetles of Field and Forest", "1234-5679", "12", "1", "44", "56"),
                "",
                "10.5555/a.1",
                0,
                "2025-03-04",
                a("Oxlade", "Rhona"),
                a("van der Berg", "Jan Pieter"),
                a("King Jr.", "Martin")),
            work(
                Kind.BOOK,
                "Night walks",
                Host.NONE,
                "Ternhollow Press",
                "",
                230,
                "2019",
                a("Oxlade", "Rhona")),
            work(
                Kind.CHAPTER,
                "Moths at lamps",
                new Host("The lit verge", "", "", "", "12", "30"),
                "Ternhollow Press",
                "10.5555/a.2",
                0,
                "2020",
                a("Oxlade", "Rhona"),
                e("Berg", "Bo")),
            work(
                Kind.THESIS,
                "Polyphemus moths, pesticide use and skyglow",
                Host.NONE,
                "Lanternbridge University",
                "",
                180,
                "2018-05",
                a("Falkenhjelm", "Tove")),
            work(
                Kind.PREPRINT,
                "Amber lamps and bats",
                Host.NONE,
                "Lampshade Preprints",
                "10.5555/p.1",
                0,
                "2026-01-15",
                a("Oxlade", "Rhona")),
            work(
                Kind.REPORT,
                "Part-night lighting in villages",
                Host.NONE,
                "Verge Trust",
                "",
                44,
                "2021",
                new Contributor(new PersonName("Verge Trust", ""), "author", true, "", List.of())),
            work(
                Kind.CONFERENCE_PAPER,
                "Counting at dusk",
                new Host("Proceedings of the dusk meeting", "", "", "", "1", "8"),
                "",
                "",
                0,
                "2022",
                a("Oxlade", "Rhona")),
            work(
                Kind.DATASET,
                "Trap counts 2015 to 2020",
                Host.NONE,
                "Lanternbridge University",
                "10.5555/d.1",
                0,
                "2021",
                a("Oxlade", "Rhona")),
            work(
                Kind.EDITORIAL,
                "Light and rest",
                new Host("Annals of Verge Ecology", "", "3", "", "1", ""),
                "",
                "",
                0,
                "2024",
                a("Oxlade", "Rhona")));
    for (String style :
        List.of(
            "apa",
            "modern-language-association",
            "chicago-author-date",
            "chicago-notes-bibliography",
            "american-medical-association",
            "nlm-citation-sequence",
            "ieee",
            "harvard-cite-them-right",
            "council-of-science-editors-author-date",
            "american-chemical-society")) {
      System.out.println("== " + style);
      if (SHELF.style(style).isEmpty()) {
        System.out.println("none");
        continue;
      }
      Processor p = SHELF.processor(SHELF.style(style).get(), "en-US");
      java.util.ArrayList<org.quietlantern.core.citation.csl.Item> items =
          new java.util.ArrayList<>();
      for (int i = 0; i < all.size(); i++) items.add(CitedItem.of("" + i, all.get(i)));
      p.setItems(items);
      p.bibliography().forEach(x -> System.out.println(x.item() + "  " + x.text().html()));
      System.out.println(SHELF.style(style).get().style().missing());
    }
    assertThat(all).isEmpty();
  }
}
