package org.quietlantern.core.holdings;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.time.Period;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;

class WaysTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);
  private static final String NAMES =
      "publication_title\tprint_identifier\tonline_identifier\tdate_first_issue_online"
          + "\tdate_last_issue_online\tembargo_info\taccess_type\n";
  private static final String FILE =
      NAMES
          + "Moths\t\t9999-1004\t1997\t2012-12-31\tP12M\tP\n"
          + "Moths\t\t9999-1004\t2016-01\t\tP12M\tP\n"
          + "Dusk\t9999-2221\t\t2010-01-01\t\t\tF\n"
          + "Window\t\t9999-3333\t\t\tR5Y\tP\n";

  private static Ways ways() {
    return new Ways(
        KbartReader.read(FILE).holdings(), List.of(lender("", Set.of(Kind.BOOK))), TODAY);
  }

  private static Lender lender(String name, Set<Kind> kinds) {
    return new Lender(name, kinds, Optional.empty(), Optional.empty());
  }

  private static Ways.Asked asked(String issn, String date, Kind kind, boolean hasAbstract) {
    Optional<PartialDate> appeared = PartialDate.read(date);
    return new Ways.Asked(
        false,
        issn,
        appeared.map(PartialDate::earliest),
        appeared.map(PartialDate::latest),
        kind,
        hasAbstract);
  }

  @DisplayName(
      "L7: holdings with gaps, walls and windows; dates to the year count when all of it is in")
  @ParameterizedTest
  @CsvSource({
    "9999-1004, 2010, yours to read",
    "9999-1004, 2013, abstract only",
    "9999-1004, 2015-12-31, abstract only",
    "9999-1004, 2016-01-01, yours to read",
    "9999-1004, 2025-11-25, yours to read",
    "9999-1004, 2025-11-26, abstract only",
    "9999-1004, 2025, abstract only",
    "9999-1004, 1996-12, abstract only",
    "9999-2221, 2026-11, open to all",
    "9999-2221, 2009-12, abstract only",
    "9999-3333, 2021-11-25, yours to read",
    "9999-3333, 2021-11-24, abstract only",
    "9999-4444, 2020, abstract only",
    "9999-1004, , abstract only"
  })
  void byHoldings(String issn, String date, String word) {
    Ways.Asked asked = asked(issn, date == null ? "" : date, Kind.ARTICLE, true);
    assertThat(ways().access(asked).word()).isEqualTo(word);
    assertThat(ways().way(asked).access().word()).isEqualTo(word);
  }

  @DisplayName("L7: the first that holds: open, held, by request, abstract, nothing")
  @Test
  void order() {
    Ways.Asked open =
        new Ways.Asked(true, "9999-1004", Optional.empty(), Optional.empty(), Kind.BOOK, true);
    assertThat(ways().access(open)).isEqualTo(Access.OPEN);
    assertThat(ways().access(asked("9999-1004", "2010", Kind.BOOK, true))).isEqualTo(Access.HELD);
    assertThat(ways().access(asked("", "2010", Kind.BOOK, true))).isEqualTo(Access.REQUEST);
    assertThat(ways().access(asked("", "2010", Kind.THESIS, true))).isEqualTo(Access.ABSTRACT);
    assertThat(ways().access(asked("", "2010", Kind.THESIS, false))).isEqualTo(Access.NONE);
  }

  @DisplayName("L7: the first library that takes the kind and the year is the one that is asked")
  @ParameterizedTest
  @CsvSource({
    "BOOK, 1985, Depository",
    "BOOK, 1990-12, Depository",
    "BOOK, 1991, Fjordside",
    "BOOK, , Fjordside",
    "ARTICLE, 1985, Fjordside",
    "THESIS, 2024, Sund",
    "THESIS, 2019, ",
    "THESIS, , ",
    "DATASET, 2024, "
  })
  void lenders(Kind kind, String date, String name) {
    List<Lender> lenders =
        List.of(
            new Lender("Depository", Set.of(Kind.BOOK), Optional.empty(), Optional.of(1990)),
            lender("Fjordside", Set.of(Kind.BOOK, Kind.ARTICLE)),
            new Lender("Sund", Set.of(Kind.THESIS), Optional.of(2020), Optional.empty()));
    Ways ways = new Ways(Holdings.NONE, lenders, TODAY);
    Ways.Asked asked = asked("", date == null ? "" : date, kind, true);
    assertThat(ways.lender(asked).map(Lender::name).orElse(null)).isEqualTo(name);
    assertThat(ways.access(asked)).isEqualTo(name == null ? Access.ABSTRACT : Access.REQUEST);
  }

  @DisplayName("L7: a book is held by its ISBN, in either length; how many read at once is told")
  @Test
  void books() {
    KbartReader.Read read =
        KbartReader.read(
            """
            publication_title\tonline_identifier\taccess_type\treaders_at_once\tplace
            Lamps\t978-0-306-40615-7\tP\t3\t
            Streets\t0-201-53082-1\tP\t1\tNorth hall, shelf 7
            Fields\t978-0-306-40615-8\tP\t\t
            Moths\t9999-1004\tP\tmany\t
            """);
    assertThat(read.problems()).extracting(KbartReader.Problem::line).containsExactly(4, 5);
    assertThat(read.problems().get(1).what()).isEqualTo("readers_at_once is no number: “many”");
    Ways ways = new Ways(read.holdings(), List.of(), TODAY);
    assertThat(ways.way(asked("9780306406157", "2001", Kind.BOOK, true)).ground())
        .isEqualTo("your group's holdings cover it, 3 readers at a time");
    assertThat(ways.way(asked("9780201530827", "2001", Kind.BOOK, true)).ground())
        .isEqualTo("your group's holdings cover it, one reader at a time");
    assertThat(read.holdings().of("9780201530827").get(0).place()).isEqualTo("North hall, shelf 7");
  }

  @DisplayName("L7: each with its ground, and where it ends or begins, the date")
  @Test
  void grounds() {
    Way window = ways().way(asked("9999-3333", "2022-03-01", Kind.ARTICLE, true));
    assertThat(window.until()).hasValue(LocalDate.of(2027, 3, 1));
    Way wall = ways().way(asked("9999-1004", "2026-02-01", Kind.ARTICLE, true));
    assertThat(wall.ground()).startsWith("yours to read from 2027-02-01; until then");
    assertThat(ways().way(asked("9999-2221", "2020", Kind.ARTICLE, true)).ground())
        .isEqualTo("free at its publisher");
  }

  @Test
  void aLineThatCannotBeUsedIsNamedAndTheRestIsRead() {
    KbartReader.Read read =
        KbartReader.read(
            "\uFEFF"
                + NAMES
                + "No number\t\t\t2010\t\t\tP\n"
                + "\n"
                + "Bad date\t\t9999-1004\tMay 2010\t\t\tP\n"
                + "Bad wall\t\t9999-1004\t2010\t\tsoon\tP\n"
                + "Backwards\t\t9999-1004\t2010\t2009\t\tP\n"
                + "Short line\t\t9999-1004\n");
    assertThat(read.problems()).extracting(KbartReader.Problem::line).containsExactly(2, 4, 5, 6);
    assertThat(read.holdings().titles())
        .extracting(Holdings.Title::name)
        .containsExactly("Short line");
    assertThat(read.problems().get(2).what()).isEqualTo("embargo_info cannot be read: “soon”");
  }

  @DisplayName("KBART: abstracts are not text, quoted cells, capitals of embargoes, check digits")
  @Test
  void asTheStandardHasIt() {
    KbartReader.Read read =
        KbartReader.read(
            """
            publication_title\tonline_identifier\tembargo_info\tcoverage_depth
            "Moths, ""at"" dusk"\t9999-1004\tr10y; p6m\tfulltext
            "Over
            two lines"\t9999-2221\t\tFulltext
            Lamps "at" sea\t9999-3333\t\t
            Only told of\t9999-1004\t\tabstracts
            Some of it\t9999-1004\t\tselected articles
            One digit off\t9999-1005\t\tfulltext
            """);
    assertThat(read.holdings().titles())
        .extracting(Holdings.Title::name)
        .containsExactly("Moths, \"at\" dusk", "Over\ntwo lines", "Lamps \"at\" sea");
    Coverage coverage = read.holdings().titles().get(0).coverage();
    assertThat(coverage.window()).isEqualTo(Period.ofYears(10));
    assertThat(coverage.wall()).isEqualTo(Period.ofMonths(6));
    assertThat(read.problems()).extracting(KbartReader.Problem::line).containsExactly(6, 7, 8);
    assertThat(read.problems().get(0).what()).contains("“abstracts”, not all in full");
    assertThat(read.problems().get(2).what()).contains("check digit");
  }

  @Test
  void aFileOfAnotherKindIsRefusedWhole() {
    KbartReader.Read read = KbartReader.read("a,b,c\n1,2,3\n");
    assertThat(read.holdings().titles()).isEmpty();
    assertThat(read.problems().get(0).what()).startsWith("this is no KBART");
    assertThat(KbartReader.read("").problems()).isEmpty();
  }

  @DisplayName("L8: peer reviewed at the date; unknown for a journal that is not known")
  @Test
  void journals() {
    JournalsReader.Read read =
        JournalsReader.read(
            """
            title,issn,publisher,peer_reviewed_from
            "Moths, and more",9999-1004,Hollow,1994
            Never,9999-2221,,
            Bad,9999-3333,,soon
            """);
    Journals journals = new Journals(read.journals());
    assertThat(journals.peerReviewed("9999-1004", LocalDate.of(1994, 1, 1))).hasValue(true);
    assertThat(journals.peerReviewed("9999-1004", LocalDate.of(1993, 12, 31))).hasValue(false);
    assertThat(journals.peerReviewed("9999-2221", TODAY)).hasValue(false);
    assertThat(journals.peerReviewed("9999-9999", TODAY)).isEmpty();
    assertThat(read.problems()).containsExactly("line 4: not a year: “soon”");
    assertThat(JournalsReader.read("a,b\n1,2").problems())
        .containsExactly("line 1: no column is named issn");
  }

  @DisplayName("A file in place of another: what is new, what has other years, what is gone")
  @Test
  void changes() {
    String next =
        NAMES
            + "Moths\t\t9999-1004\t1997\t2012-12-31\tP12M\tP\n"
            + "Moths\t\t9999-1004\t2016-01\t\tP6M\tP\n"
            + "Dusk\t9999-2221\t\t2010-01-01\t\t\tF\n"
            + "Lamps\t\t9999-4445\t2001\t\t\tP\n";
    Holdings before = KbartReader.read(FILE).holdings();
    Holdings.Changes changes = before.changesTo(KbartReader.read(next).holdings());
    assertThat(changes.added()).containsExactly("Lamps");
    assertThat(changes.changed()).containsExactly("Moths");
    assertThat(changes.gone()).containsExactly("Window");
    assertThat(before.changesTo(KbartReader.read(FILE).holdings()))
        .isEqualTo(new Holdings.Changes(List.of(), List.of(), List.of()));
  }

  @Test
  void whatIsNoDateIsNamed() {
    KbartReader.Read read = KbartReader.read(NAMES + "Moths\t\t9999-1004\tsoon\t\t\tP\n");
    assertThat(read.problems())
        .extracting(KbartReader.Problem::what)
        .containsExactly("no date: “soon”");
  }
}
