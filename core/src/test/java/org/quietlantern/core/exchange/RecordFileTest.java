package org.quietlantern.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.zip.GZIPOutputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.marc4j.MarcStreamWriter;
import org.marc4j.converter.impl.UnicodeToAnsel;
import org.marc4j.marc.MarcFactory;
import org.marc4j.marc.Record;

/** Files of records: collections, saved harvests, archives, and what is none of it. */
class RecordFileTest {
  private static final MarcFactory MARC = MarcFactory.newInstance();

  private static List<FiledRecord> all(byte[] file) throws IOException {
    return all(new ByteArrayInputStream(file));
  }

  private static List<FiledRecord> all(InputStream file) throws IOException {
    List<FiledRecord> all = new ArrayList<>();
    try (RecordFile records = new RecordFile(file)) {
      for (Optional<FiledRecord> one = records.next(); one.isPresent(); one = records.next()) {
        all.add(one.get());
      }
    }
    return all;
  }

  private static byte[] utf8(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }

  private static String mods(String id, String title) {
    return ("<mods xmlns='http://www.loc.gov/mods/v3'><titleInfo><title>%s</title></titleInfo>"
            + "<recordInfo><recordIdentifier>%s</recordIdentifier></recordInfo></mods>")
        .formatted(title, id);
  }

  private static String collection(String... records) {
    return "<?xml version='1.0'?><modsCollection>"
        + String.join("\n", records)
        + "</modsCollection>";
  }

  private static String title(FiledRecord filed) {
    return ((SuppliedRecord.Read) RecordReader.read(filed.raw())).publication().title();
  }

  private static Record marcRecord(String id, String title) {
    Record record = MARC.newRecord("00000nam a2200000 a 4500");
    record.addVariableField(MARC.newControlField("001", id));
    record.addVariableField(MARC.newDataField("245", '0', '0', "a", title));
    return record;
  }

  private static byte[] marc(Record... records) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    MarcStreamWriter writer = new MarcStreamWriter(bytes, "UTF-8");
    Arrays.stream(records).forEach(writer::write);
    writer.close();
    return bytes.toByteArray();
  }

  private static byte[] zip(byte[]... parts) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      for (int n = 0; n < parts.length; n++) {
        zip.putNextEntry(new ZipEntry("part " + n));
        zip.write(parts[n]);
      }
    }
    return bytes.toByteArray();
  }

  private static byte[] gzip(byte[] file) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(bytes)) {
      gzip.write(file);
    }
    return bytes.toByteArray();
  }

  @Test
  @DisplayName("A collection gives its records in order, by the names that they have themselves")
  void collections() throws IOException {
    List<FiledRecord> two = all(utf8(collection(mods("a", "Moths"), mods("b", "Bats"))));
    assertThat(two).extracting(FiledRecord::identifier).containsExactly("a", "b");
    assertThat(two).extracting(RecordFileTest::title).containsExactly("Moths", "Bats");
    String together = collection(mods("a", "Moths") + mods("b", "Bats") + mods("c", "Owls"));
    assertThat(all(utf8(together)))
        .as("nothing between them")
        .extracting(FiledRecord::identifier)
        .containsExactly("a", "b", "c");
    String none = mods("", "Moths");
    List<FiledRecord> unnamed = all(utf8(collection(none, none, mods("", "Bats"))));
    assertThat(unnamed.get(0).identifier()).startsWith("sha256:");
    assertThat(unnamed.get(0)).isEqualTo(unnamed.get(1)).isNotEqualTo(unnamed.get(2));
    String article =
        "<article><front><article-meta><article-id pub-id-type='doi'>10.5555/a</article-id>"
            + "<title-group><article-title>Lamps</article-title></title-group></article-meta>"
            + "</front></article>";
    assertThat(all(utf8("<!DOCTYPE article SYSTEM 'file:///etc/passwd'>" + article)))
        .extracting(FiledRecord::identifier)
        .containsExactly("10.5555/a");
  }

  @Test
  @DisplayName(
      "A saved answer of OAI-PMH names its records, dates them, and says what was taken back")
  void savedHarvests() throws IOException {
    String answer =
        """
        <OAI-PMH xmlns="http://www.openarchives.org/OAI/2.0/"><responseDate>2026-11-20T00:00:00Z</responseDate>
        <ListRecords><record><header><identifier>oai:x:1</identifier><datestamp>2026-11-01</datestamp></header>
        <metadata>%s</metadata></record><record><header status="deleted"><identifier>oai:x:2</identifier>
        <datestamp>2026-11-02</datestamp></header></record></ListRecords></OAI-PMH>
        """
            .formatted(mods("a", "Moths"));
    List<FiledRecord> records = all(utf8(answer));
    assertThat(records).extracting(FiledRecord::identifier).containsExactly("oai:x:1", "oai:x:2");
    assertThat(records).extracting(FiledRecord::deleted).containsExactly(false, true);
    assertThat(records.get(1).datestamp()).isEqualTo("2026-11-02");
  }

  @Test
  @DisplayName("Encodings are as the file says; what cannot be a letter costs its letter only")
  void encodings() throws IOException {
    String text = "<?xml version='1.0' encoding='ISO-8859-1'?>" + mods("a", "Fledermäuse");
    assertThat(title(all(text.getBytes(StandardCharsets.ISO_8859_1)).get(0)))
        .isEqualTo("Fledermäuse");
    String wide = "\uFEFF" + mods("a", "Fledermäuse");
    assertThat(title(all(wide.getBytes(StandardCharsets.UTF_16LE)).get(0)))
        .isEqualTo("Fledermäuse");
    byte[] odd = utf8(mods("a", "Moths ? Bats"));
    odd[new String(odd, StandardCharsets.UTF_8).indexOf('?')] = (byte) 0xff;
    assertThat(title(all(odd).get(0))).isEqualTo("Moths \uFFFD Bats");
    assertThat(all(utf8("<?xml version='1.0' encoding='x-none'?>" + mods("a", "Moths"))))
        .hasSize(1);
  }

  @Test
  @DisplayName("MARC in its exchange format: UTF-8 and MARC-8 in one file, lengths that are wrong")
  void marcFiles() throws IOException {
    Record old = marcRecord("2", "Fledermäuse");
    old.getLeader().setCharCodingScheme(' ');
    ByteArrayOutputStream marc8 = new ByteArrayOutputStream();
    MarcStreamWriter writer = new MarcStreamWriter(marc8, "ISO8859_1");
    writer.setConverter(new UnicodeToAnsel());
    writer.write(old);
    writer.close();
    Record first = marcRecord("1", "Nachtfalter über Wegen");
    first.getLeader().setCharCodingScheme('a');
    byte[] both = concat(marc(first), marc8.toByteArray());
    List<FiledRecord> records = all(both);
    assertThat(records).extracting(FiledRecord::identifier).containsExactly("1", "2");
    assertThat(records)
        .extracting(RecordFileTest::title)
        .containsExactly("Nachtfalter über Wegen", "Fledermäuse");
    byte[] longer = both.clone();
    longer[3] = (byte) (longer[3] == '9' ? '8' : longer[3] + 1);
    assertThat(all(longer)).isEqualTo(records);
  }

  private static byte[] concat(byte[] one, byte[] other) {
    byte[] both = Arrays.copyOf(one, one.length + other.length);
    System.arraycopy(other, 0, both, one.length, other.length);
    return both;
  }

  @Test
  @DisplayName("Packed files are read as they unpack; what holds no records is passed over")
  void packed() throws IOException {
    byte[] one = utf8(collection(mods("a", "Moths")));
    byte[] other = marc(marcRecord("b", "Bats"));
    assertThat(all(gzip(one))).hasSize(1);
    assertThat(all(zip(one, utf8("Read me first"), other)))
        .extracting(FiledRecord::identifier)
        .containsExactly("a", "b");
  }

  @Test
  @DisplayName(
      "What is no file of records says so, and so does one that breaks off, after what it had")
  void broken() throws IOException {
    assertThatThrownBy(() -> all(utf8("Title,Year\nMoths,2013\n")))
        .isInstanceOf(RecordFile.Broken.class)
        .hasMessage("there is no record in it in a format that can be read");
    assertThatThrownBy(() -> all(new byte[0])).isInstanceOf(RecordFile.Broken.class);
    assertThatThrownBy(() -> all(utf8("<html><body>Sign in</body></html>")))
        .hasMessageContaining("no record");
    assertThatThrownBy(() -> all(new byte[] {0x1f, (byte) 0x8b, 1}))
        .hasMessageContaining("looks packed");
    byte[] whole = utf8(collection(mods("a", "Moths"), mods("b", "Bats")));
    byte[] cut = Arrays.copyOf(whole, whole.length - 60);
    try (RecordFile file = new RecordFile(new ByteArrayInputStream(cut))) {
      assertThat(file.next()).isPresent();
      assertThatThrownBy(file::next)
          .isInstanceOf(RecordFile.Broken.class)
          .hasMessageContaining("breaks off");
      assertThatThrownBy(file::next).as("again").hasMessageContaining("breaks off");
    }
    String half = "<modsCollection>" + mods("a", "Moths") + mods("b", "Bats") + "<mods";
    try (RecordFile file = new RecordFile(new ByteArrayInputStream(utf8(half)))) {
      assertThat(file.next()).isPresent();
      assertThat(file.next()).as("what is whole").isPresent();
      assertThatThrownBy(file::next)
          .hasMessageMatching("it breaks off or is no XML at line 1, column \\d+: .*[^.]");
    }
    byte[] packed = gzip(whole);
    assertThatThrownBy(() -> all(Arrays.copyOf(packed, packed.length - 40)))
        .isInstanceOf(RecordFile.Broken.class);
  }

  @Test
  @DisplayName("A record that is too long is named as such, and the next one is read")
  void tooLong() throws IOException {
    String longest = mods("", "x".repeat(RecordReader.LONGEST));
    List<FiledRecord> records = all(utf8(collection(longest, mods("b", "Bats"))));
    assertThat(records.get(0).problem()).hasValue("it is longer than 2,000,000 letters");
    assertThat(records.get(1).identifier()).isEqualTo("b");
  }

  @Test
  @DisplayName("Ten million lines that are none are left after the first of them")
  void linesOfNothing() throws IOException {
    byte[] lines = "name;year;\n".repeat(10_000_000).getBytes(StandardCharsets.UTF_8);
    ByteArrayInputStream file = new ByteArrayInputStream(lines);
    assertThatThrownBy(() -> all(file)).isInstanceOf(RecordFile.Broken.class);
    assertThat(file.available()).isGreaterThan(lines.length - 1_000_000);
  }

  @Test
  @DisplayName("A small archive that unpacks without end is left")
  void bomb() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (GZIPOutputStream gzip = new GZIPOutputStream(bytes)) {
      gzip.write(utf8("<modsCollection>"));
      byte[] blanks = " ".repeat(1 << 20).getBytes(StandardCharsets.UTF_8);
      for (int n = 0; n < 200; n++) {
        gzip.write(blanks);
      }
    }
    assertThatThrownBy(() -> all(bytes.toByteArray()))
        .isInstanceOf(RecordFile.Broken.class)
        .hasMessageContaining("300 times");
  }

  @Test
  @DisplayName("Damaged files never end a reader otherwise than with a sentence")
  void damaged() throws IOException {
    List<byte[]> good =
        List.of(
            utf8(collection(mods("a", "Moths"), mods("b", "Bats"))),
            marc(marcRecord("1", "Moths"), marcRecord("2", "Bats"), marcRecord("3", "Owls")),
            zip(utf8(collection(mods("a", "Moths"))), marc(marcRecord("1", "Bats"))),
            ("\uFEFF" + collection(mods("a", "Moths"))).getBytes(Charset.forName("UTF-16LE")));
    Random random = new Random(5);
    for (int n = 0; n < 800; n++) {
      byte[] bytes = good.get(n % good.size()).clone();
      for (int k = 0; k <= n % 5; k++) {
        bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
      }
      byte[] cut =
          random.nextBoolean() ? bytes : Arrays.copyOf(bytes, random.nextInt(bytes.length));
      try {
        assertThat(all(cut)).allSatisfy(one -> assertThat(one.identifier()).isNotEmpty());
      } catch (RecordFile.Broken said) {
        assertThat(said.getMessage()).isNotBlank();
      }
    }
  }
}
