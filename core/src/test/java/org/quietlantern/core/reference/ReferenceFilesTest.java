package org.quietlantern.core.reference;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@DisplayName("A file shows what it is, however it is packed and whatever letters it has")
class ReferenceFilesTest {
  private static final String RIS = "TY  - JOUR\nTI  - Mücken bei Łódź\nER  - \n";
  private static final String BIBTEX = "@article{a,\n  title = {Mücken},\n}\n";
  private static final String JSON = "[{\"id\": \"a\", \"title\": \"Mücken\"}]";

  private static List<ReferenceFiles.Recognised> read(byte[] file) {
    return ReferenceFiles.read("f", file, Map.of());
  }

  private static ReferenceFiles.Recognised one(byte[] file) {
    List<ReferenceFiles.Recognised> all = read(file);
    assertThat(all).hasSize(1);
    return all.get(0);
  }

  private static ReferenceFiles.Recognised one(String text) {
    return one(text.getBytes(StandardCharsets.UTF_8));
  }

  private static String title(ReferenceFiles.Recognised file) {
    assertThat(file.file().references()).hasSize(1);
    return file.file().references().get(0).reference().work().title();
  }

  private static List<String> told(ReferenceFiles.Recognised file) {
    return file.file().problems().stream().map(ReadFile.Problem::sentence).toList();
  }

  private static byte[] zip(Map<String, byte[]> files) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (Map.Entry<String, byte[]> file : files.entrySet()) {
        zip.putNextEntry(new ZipEntry(file.getKey()));
        zip.write(file.getValue());
        zip.closeEntry();
      }
    }
    return bytes.toByteArray();
  }

  @DisplayName("UTF-8 with and without a mark, UTF-16 both ways")
  @ParameterizedTest
  @ValueSource(strings = {"UTF-8", "UTF-16", "UTF-16LE"})
  void encodings(String charset) {
    Charset letters = Charset.forName(charset);
    String mark = charset.equals("UTF-16") ? "" : "\uFEFF";
    for (String text : List.of(RIS, BIBTEX, JSON)) {
      ReferenceFiles.Recognised read = one((mark + text).getBytes(letters));
      assertThat(title(read)).startsWith("Mücken");
      assertThat(read.file().problems()).isEmpty();
    }
  }

  @DisplayName(
      "Windows-1252 is read as that, and line by line where letters are mixed; both are said")
  @Test
  void otherLetters() throws IOException {
    Charset windows = Charset.forName("windows-1252");
    ReferenceFiles.Recognised old = one(BIBTEX.getBytes(windows));
    assertThat(title(old)).isEqualTo("Mücken");
    assertThat(told(old))
        .containsExactly("Its letters are not UTF-8; they were read as Windows-1252.");
    ByteArrayOutputStream mixed = new ByteArrayOutputStream();
    mixed.write(RIS.getBytes(StandardCharsets.UTF_8));
    mixed.write("TY  - JOUR\nTI  - Käfer\nER  - \n".getBytes(windows));
    ReferenceFiles.Recognised both = one(mixed.toByteArray());
    assertThat(both.file().references())
        .extracting(found -> found.reference().work().title())
        .containsExactly("Mücken bei Łódź", "Käfer");
    assertThat(told(both))
        .containsExactly("Most lines are UTF-8, and 1 is not; read as Windows-1252.");
    assertThat(both.file().problems().get(0).line()).isEqualTo(5);
  }

  @DisplayName("What holds no references says so")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'  '                         | It is empty.",
        "Dear all, see you on Friday. | It is in no format of references that is known here.",
        "'a,b,c\n1,2,3'               | It is in no format of references that is known here.",
        "'title;authors\n;Sey, Ada'   | The row has no title.",
        "'<html><p>x</p></html>'      | It is broken: there is no record in it in a format that can be read.",
      })
  void none(String text, String sentence) {
    ReferenceFiles.Recognised read = one(text);
    assertThat(read.file().references()).isEmpty();
    assertThat(told(read)).containsExactly(sentence);
  }

  @DisplayName("What is no text is not read")
  @Test
  void binary() {
    assertThat(told(one(new byte[] {1, 2, 0, 4, 5}))).containsExactly("It is no text.");
  }

  @DisplayName("Two formats in one file are both read")
  @Test
  void both() {
    ReferenceFiles.Recognised read = one(RIS + "\n" + BIBTEX);
    assertThat(read.format()).isEqualTo("RIS and BibTeX");
    assertThat(read.file().references()).hasSize(2);
    assertThat(told(read)).contains("It holds RIS and BibTeX; both were read.");
  }

  @DisplayName("Files of an archive are read each by what it is; their names lead nowhere")
  @Test
  void archive() throws IOException {
    Map<String, byte[]> files =
        Map.of(
            "../../etc/passwd", RIS.getBytes(StandardCharsets.UTF_8),
            "b.txt", JSON.getBytes(StandardCharsets.UTF_8));
    List<ReferenceFiles.Recognised> read = read(zip(files));
    assertThat(read)
        .extracting(ReferenceFiles.Recognised::name)
        .containsExactlyInAnyOrder("f, ../../etc/passwd", "f, b.txt");
    assertThat(read).allSatisfy(one -> assertThat(title(one)).startsWith("Mücken"));
    byte[] cut = zip(files);
    for (int part = 3; part < 15; part++) {
      byte[] some = Arrays.copyOf(cut, cut.length * part / 20);
      List<ReferenceFiles.Recognised> broken = read(some);
      assertThat(told(broken.get(broken.size() - 1))).as("part " + part).isNotEmpty();
    }
    assertThat(told(one(zip(Map.of())))).isNotEmpty();
  }

  @DisplayName("What unpacks to more than is read ends there, and what came before is kept")
  @Test
  void bomb() throws IOException {
    byte[] blanks = new byte[(int) ReferenceFiles.MOST_BYTES + 10];
    Arrays.fill(blanks, (byte) ' ');
    LinkedHashMap<String, byte[]> files = new LinkedHashMap<>();
    files.put("a.ris", RIS.getBytes(StandardCharsets.UTF_8));
    files.put("b.ris", blanks);
    List<ReferenceFiles.Recognised> read = read(zip(files));
    assertThat(title(read.get(0))).startsWith("Mücken");
    assertThat(told(read.get(1))).containsExactly("It unpacks to more than 200 MB.");
  }

  @DisplayName("Columns of a table are known by what programs call them, or by a mapping")
  @Test
  void columns() {
    String table = "Article Title;Author(s);Year;Foo\r\nMücken;Sey, Ada;2024;Annals\r\n";
    assertThat(title(one(table))).isEqualTo("Mücken");
    assertThat(CsvReader.columns(table).get("Foo")).isEmpty();
    ReadFile mapped =
        CsvReader.read(table, Map.of("Article Title", CsvColumn.TITLE, "Foo", CsvColumn.HOST));
    assertThat(mapped.references().get(0).reference().work().host().title()).isEqualTo("Annals");
    assertThat(mapped.references().get(0).reference().work().authors()).isEmpty();
  }
}
