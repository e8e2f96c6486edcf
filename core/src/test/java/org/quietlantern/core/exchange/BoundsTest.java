package org.quietlantern.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Text;

/** Records that are too much: cut and named, or not read, and never in the way of others. */
class BoundsTest {
  private static String mods(String inside) {
    return "<mods xmlns=\"http://www.loc.gov/mods/v3\">" + inside + "</mods>";
  }

  private static String title(String title) {
    return "<titleInfo><title>" + title + "</title></titleInfo>";
  }

  private static SuppliedRecord.Read read(String raw) {
    return (SuppliedRecord.Read) RecordReader.read(raw);
  }

  @DisplayName("A title, an abstract, a list of authors without end: cut and named, the rest taken")
  @Test
  void cut() {
    String author = "<name><namePart type=\"family\">Reed</namePart></name>";
    SuppliedRecord.Read read =
        read(
            mods(
                title("Moths ".repeat(10_000))
                    + "<abstract>"
                    + "light ".repeat(20_000)
                    + "</abstract>"
                    + author.repeat(6_000)
                    + "<note>kept</note>"));
    Publication publication = read.publication();
    assertThat(publication.title()).hasSizeBetween(1_990, 2_001).endsWith("…");
    assertThat(publication.abstractText()).hasSizeBetween(49_990, 50_001).endsWith("…");
    assertThat(publication.authors()).hasSize(5_000);
    assertThat(read.problems())
        .contains(
            "title of 59,999 letters: cut after 2,000",
            "abstract of 119,999 letters: cut after 50,000",
            "more than 5,000 times name: the rest was left out");
  }

  @DisplayName("The same in Dublin Core; a cut never leaves half a letter")
  @Test
  void dublinCore() {
    String raw =
        "<dc xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><dc:title>a"
            + "🦉".repeat(2_000)
            + "</dc:title></dc>";
    SuppliedRecord.Read read = read(raw);
    assertThat(read.publication().title()).hasSize(2_000).endsWith("🦉…");
    assertThat(read.problems()).contains("title of 4,001 letters: cut after 2,000");
  }

  @DisplayName("What is within bounds is as it was, without a word")
  @Test
  void within() {
    SuppliedRecord.Read read = read(mods(title("x".repeat(2_000))));
    assertThat(read.publication().title()).isEqualTo("x".repeat(2_000));
    assertThat(read.problems()).noneMatch(problem -> problem.contains("cut after"));
  }

  @Test
  void aRecordWithoutEndOrNestedWithoutEndIsNotRead() {
    assertThat(RecordReader.read(mods(title("x".repeat(2_000_000)))))
        .isEqualTo(new SuppliedRecord.Unreadable("longer than 2,000,000 letters"));
    String deep = "<a>".repeat(50_000) + "</a>".repeat(50_000);
    assertThat(RecordReader.read(mods(title("Moths") + deep)))
        .isInstanceOf(SuppliedRecord.Unreadable.class);
    assertThat(RecordReader.read("<mods>\uFFFD"))
        .isInstanceOfSatisfying(
            SuppliedRecord.Unreadable.class,
            unreadable ->
                assertThat(unreadable.reason()).endsWith("; letters that no text can hold"));
  }

  private static String replaced(byte[] bytes) throws IOException {
    StringWriter text = new StringWriter();
    try (Reader reader = new ReplacingReader(new ByteArrayInputStream(bytes))) {
      reader.transferTo(text);
    }
    return text.toString();
  }

  @DisplayName("XML 1.0, 2.2: what is no letter is replaced, references to such too")
  @ParameterizedTest
  @CsvSource({
    "a&#0;b, a\uFFFDb",
    "a&#x1F;b, a\uFFFDb",
    "a&#xD800;b, a\uFFFDb",
    "a&#65535;b, a\uFFFDb",
    "'&#9;&#x10FFFF;', '&#9;&#x10FFFF;'",
    "&amp;&#65;&unknown;, &amp;&#65;&unknown;",
    "&#;&#x;&#zz;, &#;&#x;&#zz;",
    "a & b &, a & b &",
    "&#99999999999;, &#99999999999;",
    "'a\tb', 'a\tb'",
    "'a\u0001b&amp;c\u0002d&#0;e\u0003', 'a\uFFFDb&amp;c\uFFFDd\uFFFDe\uFFFD'",
  })
  void references(String supplied, String wanted) throws IOException {
    assertThat(replaced(supplied.getBytes(StandardCharsets.UTF_8))).isEqualTo(wanted);
  }

  @Test
  void textsThatComeInManyPieces() throws IOException {
    String piece = "lamp ".repeat(4_000) + "\u0001&#0;&amp;";
    String read = replaced(piece.repeat(9).getBytes(StandardCharsets.UTF_8));
    assertThat(read).isEqualTo(("lamp ".repeat(4_000) + "\uFFFD\uFFFD&amp;").repeat(9));
  }

  @ParameterizedTest
  @ValueSource(bytes = {0, 1, 8, 11, 31, (byte) 0x80, (byte) 0xC0, (byte) 0xFF})
  void bytesThatAreNoLetterAreReplaced(byte odd) throws IOException {
    assertThat(replaced(new byte[] {'a', odd, 'b'})).isEqualTo("a\uFFFDb");
  }

  @DisplayName("Typed text: control letters go, half a pair is replaced, everything else stays")
  @Test
  void legal() {
    assertThat(Text.legal("a\u0000b\u0007c\uFFFEd")).isEqualTo("abcd");
    assertThat(Text.legal("\uD800x\uDC00")).isEqualTo("\uFFFDx\uFFFD");
    String fine = "tab\tline\r\nowl 🦉 é";
    assertThat(Text.legal(fine)).isSameAs(fine);
    assertThat(Text.legal("\u0001" + fine)).isEqualTo(fine);
  }

  @Test
  void aByteOrderMarkIsLeftOut() throws IOException {
    assertThat(replaced("\uFEFFa\uFEFFb".getBytes(StandardCharsets.UTF_8))).isEqualTo("a\uFEFFb");
    assertThat(replaced(new byte[0])).isEmpty();
    assertThat(replaced("🦉".getBytes(StandardCharsets.UTF_8))).isEqualTo("🦉");
  }
}
