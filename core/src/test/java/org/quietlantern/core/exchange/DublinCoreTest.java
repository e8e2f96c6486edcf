package org.quietlantern.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.VersionKind;

class DublinCoreTest {
  private static final String RECORD =
      """
      <oai_dc:dc xmlns:oai_dc="http://www.openarchives.org/OAI/2.0/oai_dc/" xmlns:dc="http://purl.org/dc/elements/1.1/">
        <dc:title>DIMMING OF VERGES</dc:title><dc:title>Det dempede lyset</dc:title>
        <dc:creator>Oduya, M.</dc:creator><dc:creator>Fenland Moth Scheme</dc:creator>
        <dc:subject>moths</dc:subject><dc:description>Visits rose.</dc:description>
        <dc:date>unknown</dc:date><dc:date>2025-03-04T10:00:00Z</dc:date>
        <dc:type>urn:types/article</dc:type><dc:type>urn:versions/acceptedVersion</dc:type>
        <dc:language>eng</dc:language>
        <dc:identifier>urn:fjordside:40007</dc:identifier>
        <dc:identifier>https://resolver.example/10.5555/ave.2025.00007</dc:identifier>
        <dc:source>Hedgerow Studies, 52(3), 101-112</dc:source><dc:rights>Open Access</dc:rights>
      </oai_dc:dc>
      """;

  private static Publication read(String xml) {
    return ((SuppliedRecord.Read) RecordReader.read(xml)).publication();
  }

  @Test
  void whatTheFieldsHoldIsRead() {
    Publication read = read(RECORD);
    assertThat(read.title()).isEqualTo("DIMMING OF VERGES");
    assertThat(read.originalTitle()).isEqualTo("Det dempede lyset");
    assertThat(read.authors())
        .containsExactly(new PersonName("Oduya", "M."), new PersonName("Fenland Moth Scheme", ""));
    assertThat(read.kind()).isEqualTo(Kind.ARTICLE);
    assertThat(read.version()).isEqualTo(VersionKind.ACCEPTED);
    assertThat(read.date().orElseThrow()).hasToString("2025-03-04");
    assertThat(read.language()).isEqualTo("en");
    assertThat(read.doi()).isEqualTo("10.5555/ave.2025.00007");
    assertThat(read.host()).isEqualTo(new Host("Hedgerow Studies", "", "52", "3", "101", "112"));
    assertThat(read.pages()).isEqualTo(12);
    assertThat(read.open()).isTrue();
    assertThat(read.keywords()).containsExactly("moths");
  }

  @Test
  void whatCannotBeUsedIsNamed() {
    SuppliedRecord.Read odd =
        (SuppliedRecord.Read)
            RecordReader.read(
                RECORD
                    .replaceAll("<dc:date>2.*?</dc:date>", "")
                    .replace("urn:types/article", "scroll")
                    .replace("Hedgerow Studies, 52(3), 101-112", "in a drawer"));
    assertThat(odd.problems())
        .isEqualTo(
            List.of("unknown kind “scroll”, taken as article", "date cannot be read: “unknown”"));
    assertThat(odd.publication().host().title()).isEqualTo("in a drawer");
    assertThat(RecordReader.read(RECORD.replaceAll("<dc:title>.*?</dc:title>", "")))
        .isEqualTo(new SuppliedRecord.Unreadable("no title"));
    assertThat(RecordReader.read("<mods/>")).isInstanceOf(SuppliedRecord.Unreadable.class);
    assertThat(RecordReader.read("<dc><title>")).isInstanceOf(SuppliedRecord.Unreadable.class);
  }

  @Test
  void noiseNeverThrows() {
    Random random = new Random(13);
    for (int n = 0; n < 1000; n++) {
      StringBuilder broken = new StringBuilder(RECORD);
      for (int i = 0; i < 4; i++) {
        int at = random.nextInt(broken.length() - 40);
        broken.delete(at, at + random.nextInt(40));
      }
      assertThat(RecordReader.read(broken.toString())).isNotNull();
    }
  }
}
