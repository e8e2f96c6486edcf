package org.quietlantern.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.VersionKind;

public class ExchangeTest {
  static final String MODS =
      """
      <mods xmlns="http://www.loc.gov/mods/v3" version="3.8">
        <titleInfo><nonSort>The</nonSort><title>dimming of verges</title><subTitle>a trial</subTitle></titleInfo>
        <titleInfo type="alternative" displayLabel="original" lang="nb"><title>Det dempede lyset</title></titleInfo>
        <name type="personal"><namePart type="given">Maren</namePart><namePart type="family">Oduya</namePart>
          <namePart type="date">1981-</namePart><role><roleTerm type="code">aut</roleTerm></role>
          <affiliation>Tern Hollow</affiliation>
          <nameIdentifier type="orcid">https://orcid.example/0000-0002-1825-0097</nameIdentifier></name>
        <name type="personal"><namePart type="family">Sey</namePart><namePart type="given">Adaeze</namePart>
          <role><roleTerm type="text">Editor</roleTerm></role></name>
        <name type="corporate"><namePart>Tern Hollow Observatory</namePart></name>
        <genre>article</genre>
        <originInfo><publisher>Hollow Press</publisher><dateIssued encoding="w3cdtf">2026-03</dateIssued></originInfo>
        <language><languageTerm type="code" authority="rfc5646">en</languageTerm></language>
        <physicalDescription><extent>17 pages</extent></physicalDescription>
        <abstract>Visits  rose
          by 41 %.</abstract>
        <subject authority="ql" valueURI="urn:h:1"><topic>Road verges</topic></subject>
        <subject authority="ql" valueURI="urn:h:2"><topic>Lepidoptera</topic></subject>
        <subject><topic>bramble</topic></subject>
        <relatedItem type="host">
          <titleInfo><title>Annals of Verge Ecology</title></titleInfo><identifier type="issn">9999-0011</identifier>
          <part><detail type="volume"><number>14</number></detail><detail type="issue"><number>2</number></detail>
          <extent unit="pages"><start>113</start><end>129</end></extent></part>
        </relatedItem>
        <identifier type="doi">10.5555/ave.14.2.113</identifier>
        <identifier type="nightreg">771</identifier><identifier type="local">x/9</identifier>
        <extension><supply xmlns="urn:quietlantern:supply:1"><version>final</version><access>open</access>
          <central valueURI="urn:h:2"/><aspect valueURI="urn:h:2">behaviour</aspect>
          <versionOf>10.5555/pre.7</versionOf>
          <notice kind="correction" date="2026-05-02">10.5555/ave.15.1.90</notice></supply></extension>
      </mods>
      """;

  public static final Publication READ =
      new Publication(
          "The dimming of verges: a trial",
          "Det dempede lyset",
          Kind.ARTICLE,
          VersionKind.FINAL,
          List.of(new PersonName("Oduya", "Maren"), new PersonName("Tern Hollow Observatory", "")),
          Optional.of(new PartialDate(2026, 3, 0)),
          new Host("Annals of Verge Ecology", "9999-0011", "14", "2", "113", "129"),
          "Hollow Press",
          "en",
          "Visits rose by 41 %.",
          List.of(
              new HeadingUse("urn:h:1", "Road verges", false, List.of()),
              new HeadingUse("urn:h:2", "Lepidoptera", true, List.of("behaviour"))),
          List.of("bramble"),
          "10.5555/ave.14.2.113",
          new Relations(
              "10.5555/pre.7",
              "",
              List.of(new Relations.Notice("correction", "10.5555/ave.15.1.90", "2026-05-02"))),
          17,
          true,
          Studied.NONE,
          Optional.empty(),
          Cited.UNKNOWN,
          Optional.of(new PartialDate(2026, 3, 0)),
          List.of(new Identifier("nightreg", "771")),
          List.of(
              new Contributor(
                  new PersonName("Oduya", "Maren"),
                  "author",
                  false,
                  "0000-0002-1825-0097",
                  List.of("Tern Hollow")),
              new Contributor(new PersonName("Sey", "Adaeze"), "editor", false, "", List.of()),
              new Contributor(
                  new PersonName("Tern Hollow Observatory", ""), "author", true, "", List.of())),
          List.of());

  @Test
  void aModsRecordIsRead() {
    assertThat(RecordReader.read(MODS)).isEqualTo(new SuppliedRecord.Read(READ, List.of()));
  }

  @Test
  void whatCannotBeUsedIsNamedAndTheRestIsRead() {
    String odd = MODS.replace("2026-03", "2026-19").replace("<genre>article", "<genre>scroll");
    SuppliedRecord.Read read = (SuppliedRecord.Read) RecordReader.read(odd);
    assertThat(read.problems())
        .containsExactlyInAnyOrder(
            "unknown kind “scroll”, taken as article", "date cannot be read: “2026-19”");
    assertThat(read.publication().date()).isEmpty();
    assertThat(read.publication().title()).isEqualTo(READ.title());
  }

  @Test
  void hostileXmlIsRefused() {
    String entity =
        "<!DOCTYPE m [<!ENTITY e SYSTEM 'file:///etc/passwd'>]><mods xmlns='http://www.loc.gov/mods/v3'>"
            + "<titleInfo><title>&e;</title></titleInfo></mods>";
    assertThat(RecordReader.read(entity)).isInstanceOf(SuppliedRecord.Unreadable.class);
    assertThat(RecordReader.read("<mods/>"))
        .isEqualTo(new SuppliedRecord.Unreadable("no format that is known: mods"));
    assertThat(RecordReader.read(MODS.replaceAll("(?s)<titleInfo>.*?</titleInfo>", "")))
        .isEqualTo(new SuppliedRecord.Unreadable("no title"));
  }

  @Test
  void noiseNeverThrows() {
    Random random = new Random(11);
    for (int n = 0; n < 2000; n++) {
      StringBuilder broken = new StringBuilder(MODS);
      for (int i = 0; i < 4; i++) {
        int at = random.nextInt(broken.length() - 40);
        broken.delete(at, at + random.nextInt(40));
      }
      assertThat(RecordReader.read(broken.toString())).isNotNull();
    }
  }

  @Test
  void aReadableReference() {
    assertThat(PlainCitation.of(READ))
        .isEqualTo(
            "Oduya, Maren and Tern Hollow Observatory (2026). The dimming of verges: a trial."
                + " Annals of Verge Ecology 14(2), 113–129. doi:10.5555/ave.14.2.113");
  }
}
