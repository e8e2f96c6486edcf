package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.citation.Kinds;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.Publication;

@DisplayName("BibTeX is read as people write it")
class BibtexReaderTest {
  private static final int DAMAGED = 200;

  private static Publication one(String text) {
    ReadFile file = BibtexReader.read(text);
    assertThat(file.problems()).isEmpty();
    assertThat(file.references()).hasSize(1);
    return file.references().get(0).reference().work();
  }

  @DisplayName(
      "What is written here is read back equal, in both dialects and both forms of letters")
  @ParameterizedTest
  @CsvSource({"false, false", "false, true", "true, false", "true, true"})
  void back(boolean biblatex, boolean commands) {
    BibtexWriter writer = new BibtexWriter(biblatex, commands, Included.ALL);
    List<Publication> works = Kinds.all();
    String text =
        works.stream()
            .map(work -> writer.entry(Reference.of(EntryKeys.of(work), work, "")))
            .collect(Collectors.joining("\n"));
    ReadFile file = BibtexReader.read(text);
    assertThat(file.problems()).isEmpty();
    assertThat(file.references()).hasSameSizeAs(works);
    for (int i = 0; i < works.size(); i++) {
      Publication work = works.get(i);
      Publication read = file.references().get(i).reference().work();
      assertThat(read.title()).isEqualTo(work.title());
      assertThat(people(read)).isEqualTo(people(work));
      assertThat(read.doi()).isEqualTo(work.doi());
      assertThat(read.host().volume()).isEqualTo(work.host().volume());
      assertThat(read.host().pages("-")).isEqualTo(work.host().pages("-"));
      assertThat(read.citedYear()).isEqualTo(work.citedYear());
      assertThat(read.publisher()).isEqualTo(work.publisher());
      assertThat(file.references().get(i).reference().key()).isEqualTo(EntryKeys.of(work));
    }
  }

  private static List<String> people(Publication work) {
    return work.contributors().stream()
        .map(one -> one.role() + " " + one.name().sorted() + (one.body() ? " (body)" : ""))
        .toList();
  }

  @DisplayName("Named strings, pieces that are joined, quotations, remarks, no key, other brackets")
  @Test
  void dialects() {
    Publication work =
        one(
            """
            This is ignored.
            @comment{@article{no, title = {No}}}
            @string{ annals = "Annals of " # {Verge Ecology} }
            @preamble{ "\\\\newcommand{\\\\x}{}" }
            @ARTICLE (berg,
              Author = "Berg, Bo and {Verge Trust}", % and others
              TITLE  = {{Moths} at \\emph{lamps}},
              journal = annals, year = 2024, month = 1 # "~" # jan,
              pages = "12 -- 30"
            )
            """);
    assertThat(work.title()).isEqualTo("Moths at <i>lamps</i>");
    assertThat(work.host().title()).isEqualTo("Annals of Verge Ecology");
    assertThat(work.host().pages("-")).isEqualTo("12-30");
    assertThat(people(work)).containsExactly("author Berg, Bo", "author Verge Trust (body)");
    assertThat(one("@book{title = {Night walks}}").title()).isEqualTo("Night walks");
  }

  @DisplayName("A chapter has what it lacks of the book that it lies in")
  @Test
  void crossref() {
    ReadFile file =
        BibtexReader.read(
            """
            @incollection{part, title = {A part}, author = {Ada Sey}, crossref = {Whole}, pages = 3}
            @book{whole, title = {The whole}, editor = {Bo Berg}, publisher = {Hollow Press}, year = 2020}
            @book{self, title = {Self}, crossref = {self}}
            """);
    Publication part = file.references().get(0).reference().work();
    assertThat(part.host().title()).isEqualTo("The whole");
    assertThat(part.publisher()).isEqualTo("Hollow Press");
    assertThat(part.citedYear()).contains(2020);
    assertThat(people(part)).containsExactly("author Sey, Ada", "editor Berg, Bo");
    assertThat(file.references()).hasSize(3);
  }

  @DisplayName("Names in all their forms")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "Ada Sey                     | Sey, Ada",
        "Sey, Ada                    | Sey, Ada",
        "Ada Maria Sey               | Sey, Ada Maria",
        "Ludwig van der Berg         | van der Berg, Ludwig",
        "van der Berg, Ludwig        | van der Berg, Ludwig",
        "King, Jr., Martin           | King, Jr., Martin",
        "{\\'E}mile Zola             | Zola, Émile",
        "M{\\\"u}ller, J{\\\"o}rg    | Müller, Jörg",
        "\\L{}o{\\'s}, Jan           | Łoś, Jan",
        "Verge                       | Verge",
        "Sey, Ada and others         | Sey, Ada",
      })
  void names(String written, String wanted) {
    List<Contributor> read = BibtexNames.read(written.strip(), Contributor.AUTHOR);
    assertThat(read).hasSize(1);
    assertThat(read.get(0).name().sorted()).isEqualTo(wanted);
    assertThat(read.get(0).body()).isFalse();
  }

  @DisplayName("Text of LaTeX: letters, several accents, markup, math, what nobody knows")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      value = {
        "Stra{\\ss}e, na\\\"{\\i}ve    | Straße, naïve",
        "Nguy{\\~{{\\^{e}}}}n          | Nguyễn",
        "``so'' -- 5 \\% \\& more      | “so” – 5 % & more",
        "CO$_2$ and $\\alpha$~waves    | CO<sub>2</sub> and α waves",
        "{\\it Noctua} flies           | <i>Noctua</i> flies",
        "\\input{/etc/passwd}          | /etc/passwd",
        "\\unknown{kept} \\so          | kept",
        "a_b^c                         | a_b^c",
        "end\\                         | end",
        "{{{a}                         | a",
        "}}a                           | a",
      })
  void latex(String written, String wanted) {
    assertThat(LatexReader.read(written)).isEqualTo(wanted);
  }

  @DisplayName("What is broken is told with its line, and the rest comes in")
  @Test
  void broken() {
    ReadFile file =
        BibtexReader.read(
            """
            @article{one, title = {One}}

            @article{two, title = {Two, author = {Sey, Ada}

            @article{three, year 2020, title = {Three}}
            @article{four, title = {Four}, year = "2020}
            @article{five, title = {Five}}
            @article{six, author = {Sey, Ada}}
            """);
    assertThat(file.references())
        .extracting(found -> found.reference().key())
        .containsExactly("one", "four", "five");
    assertThat(file.problems())
        .extracting(problem -> problem.line() + ": " + problem.sentence())
        .contains(
            "3: A brace is not closed: “Two, author = {Sey, Ada}”.",
            "5: Behind “year” no “=” stands.",
            "6: The quotation of “year” is not closed.",
            "8: “six” has no title.");
  }

  @DisplayName("Neither 100,000 authors nor brackets, strings that grow, or circles stop it")
  @Test
  void hostile() {
    String crowd = "Sey, Ada and ".repeat(99_999) + "Berg, Bo";
    Assertions.assertTimeoutPreemptively(
        Duration.ofSeconds(30),
        () -> {
          assertThat(one("@book{x, title={T}, author={" + crowd + "}}").authors()).hasSize(100_000);
          assertThat(one("@book{x, title={" + "{".repeat(50_000) + "a" + "}".repeat(50_000) + "}}"))
              .extracting(Publication::title)
              .isEqualTo("a");
          StringBuilder bomb = new StringBuilder("@string{a0 = {aaaaaaaaaa}}\n");
          for (int i = 1; i < 40; i++) {
            bomb.append("@string{a%d = a%d # a%d}%n".formatted(i, i - 1, i - 1));
          }
          ReadFile file = BibtexReader.read(bomb + "@book{x, title = a39}");
          assertThat(file.problems()).isNotEmpty();
          assertThat(BibtexReader.read("@a{".repeat(50_000)).references()).isEmpty();
          assertThat(BibtexReader.read("{".repeat(100_000)).references()).isEmpty();
        });
  }

  @DisplayName("Damaged files never stop it: cut, doubled, swapped, nested")
  @Test
  void damaged() {
    BibtexWriter writer = new BibtexWriter(false, true, Included.ALL);
    String good =
        Kinds.all().stream()
            .map(work -> writer.entry(Reference.of(EntryKeys.of(work), work, "link")))
            .collect(Collectors.joining("\n"));
    Random random = new Random(17);
    for (int n = 0; n < DAMAGED; n++) {
      String bad = good;
      for (int i = 0; i < 1 + n % 5; i++) {
        bad = damage(bad, random);
      }
      ReadFile file = BibtexReader.read(bad);
      assertThat(file.references().size() + file.problems().size()).as(bad).isPositive();
      assertThat(file.references())
          .allSatisfy(found -> assertThat(found.reference().work().title()).isNotBlank());
    }
  }

  private static String damage(String text, Random random) {
    int at = random.nextInt(text.length());
    int end = Math.min(text.length(), at + 1 + random.nextInt(60));
    String piece = text.substring(at, end);
    return switch (random.nextInt(4)) {
      case 0 -> text.substring(0, at) + text.substring(end);
      case 1 -> text.substring(0, end) + piece + text.substring(end);
      case 2 -> text.substring(0, at) + new StringBuilder(piece).reverse() + text.substring(end);
      default -> text.substring(0, at) + "{" + piece + "@x{" + text.substring(end);
    };
  }

  @DisplayName("What is no such file has no references in it, and says nothing wrong")
  @ParameterizedTest
  @ValueSource(strings = {"", "hello", "TY  - JOUR\nTI  - A\nER  - \n", "a@b.example {x}"})
  void others(String text) {
    assertThat(BibtexReader.read(text).references()).isEmpty();
    assertThat(BibtexReader.read(text).problems()).isEmpty();
  }

  @DisplayName("A thesis, a preprint and what is only loosely said are what they are")
  @Test
  void kinds() {
    assertThat(one("@phdthesis{x, title={T}, school={S}}").kind()).isEqualTo(Kind.THESIS);
    assertThat(one("@misc{x, title={T}, note={Preprint}}").kind()).isEqualTo(Kind.PREPRINT);
    assertThat(one("@misc{x, title={T}, journal={J}}").kind()).isEqualTo(Kind.ARTICLE);
  }
}
