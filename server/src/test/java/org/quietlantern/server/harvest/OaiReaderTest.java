package org.quietlantern.server.harvest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.core.publication.SourceRecord;

class OaiReaderTest {
  private static final String HEAD =
      "<OAI-PMH xmlns=\"http://www.openarchives.org/OAI/2.0/\"><responseDate>2026-11-24T01:00:00Z</responseDate>";

  private static OaiPage read(String xml) throws IOException {
    return OaiReader.read("mods", new ByteArrayInputStream(xml.getBytes(StandardCharsets.UTF_8)));
  }

  private static String list(String inside) {
    return HEAD + "<request/><ListRecords>" + inside + "</ListRecords></OAI-PMH>";
  }

  private static String header(String status, int n) {
    return "<header%s><identifier>oai:x:%d</identifier><datestamp>2026-11-23</datestamp><setSpec>s</setSpec></header>"
        .formatted(status, n);
  }

  @Test
  void recordsKeepTheirMetadataAsSupplied() throws IOException {
    OaiPage page =
        read(
            list(
                "<record>"
                    + header("", 1)
                    + "<metadata><m:mods xmlns:m=\"http://www.loc.gov/mods/v3\"><m:identifier>inner</m:identifier>"
                    + "<m:abstract>a &amp; b &lt; c</m:abstract></m:mods></metadata><about><x/></about></record>"
                    + "<record>"
                    + header(" status=\"deleted\"", 2)
                    + "</record>"
                    + "<resumptionToken cursor=\"0\">next one</resumptionToken>"));
    assertThat(page.responseDate()).hasValue(Instant.parse("2026-11-24T01:00:00Z"));
    assertThat(page.token()).hasValue("next one");
    SourceRecord first = page.records().get(0);
    assertThat(first.identifier()).isEqualTo("oai:x:1");
    assertThat(first.raw())
        .startsWith("<m:mods")
        .contains(
            "http://www.loc.gov/mods/v3", "<m:identifier>inner</m:identifier>", "a &amp; b &lt; c");
    assertThat(page.records().get(1))
        .isEqualTo(new SourceRecord("oai:x:2", "mods", "", "2026-11-23", true));
  }

  @Test
  void anEmptyTokenEndsTheList() throws IOException {
    assertThat(read(list("<resumptionToken completeListSize=\"3\"/>")).token()).isEmpty();
    assertThat(read(HEAD + "<error code=\"noRecordsMatch\">none</error></OAI-PMH>").error())
        .hasValue("noRecordsMatch");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "not xml",
        "<html><body>503</body></html>",
        "<OAI-PMH xmlns=\"http://www.openarchives.org/OAI/2.0/\"><responseDate>2026-11-24T01:00:00Z</responseDate><ListRecords><record>",
        "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><OAI-PMH xmlns=\"http://www.openarchives.org/OAI/2.0/\"><responseDate>&e;</responseDate></OAI-PMH>"
      })
  void whatIsNoWholeAnswerIsAFailureThatSaysSo(String xml) {
    assertThatThrownBy(() -> read(xml))
        .isInstanceOf(IOException.class)
        .hasMessageMatching("(?s)the answer (breaks off or is no XML: .*|is not one of OAI-PMH)");
  }
}
