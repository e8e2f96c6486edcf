package org.quietlantern.core.holdings;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class JournalsTest {
  private static final String FILE =
      """
      title,issn,publisher,discipline,since,peer_reviewed_from,former_title,former_until,more
      "The Lamp, and Landscape",9999-1004,Hollow,planning,1996,2003,Lamp and Street,2002,x
      Écologie de nuit,9999-111X,Fen,ecology,,,,,
      annals of verges,9999-1222,Hollow,ecology,1988,1988,,,
      7 Nights,9999-1333,Hollow,ecology,2001,soon,,,
      Nameless,,Hollow,ecology,2001,2001,,,
      24 Hours,9999-1444,Hollow,ecology,2001,2001,,,
      """;
  private final JournalsReader.Read read = JournalsReader.read(FILE);
  private final Journals journals = new Journals(read.journals());

  private List<String> found(String typed) {
    return journals.lookUp(typed).map(met -> met.journal().issn() + " " + met.by()).toList();
  }

  @Test
  void aLineThatCannotBeUsedIsNamedAndTheRestIsRead() {
    assertThat(read.problems()).containsExactly("line 5: not a year: “soon”", "line 6: no ISSN");
    assertThat(journals.find("9999-1004"))
        .contains(
            new Journal(
                "9999-1004",
                "The Lamp, and Landscape",
                "Hollow",
                "planning",
                Optional.of(1996),
                Optional.of(2003),
                List.of(new Journal.Former("Lamp and Street", Optional.of(2002)))));
  }

  @Test
  void titlesStandInOrderWithoutArticlesCaseOrAccents() {
    assertThat(journals.all())
        .extracting(Journal::issn)
        .containsExactly("9999-1444", "9999-1222", "9999-111X", "9999-1004");
    assertThat(journals.all()).extracting(Journal::letter).containsExactly("#", "A", "E", "L");
  }

  @Test
  void foundByBeginningsOfWordsFormerTitlesAndIssn() {
    assertThat(found("land lamp")).containsExactly("9999-1004 The Lamp, and Landscape");
    assertThat(found("STREET")).containsExactly("9999-1004 Lamp and Street");
    assertThat(found("ecol")).containsExactly("9999-111X Écologie de nuit");
    assertThat(found("9999111x")).containsExactly("9999-111X Écologie de nuit");
    assertThat(found("street landscape")).as("words of two titles").isEmpty();
    assertThat(found("")).hasSize(4);
    assertThat(found("andscape")).isEmpty();
  }
}
