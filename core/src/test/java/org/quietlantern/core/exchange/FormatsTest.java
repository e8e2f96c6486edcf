package org.quietlantern.core.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Identifier;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.VersionKind;

/** Records in formats other than MODS; whatever a source calls them, their roots say it. */
class FormatsTest {
  private static SuppliedRecord.Read reading(String xml) {
    return (SuppliedRecord.Read) RecordReader.read(xml);
  }

  private static Publication read(String xml) {
    SuppliedRecord.Read read = reading(xml);
    assertThat(read.problems()).isEmpty();
    return read.publication();
  }

  private static String marc(String leader, String fields) {
    return """
        <record xmlns="http://www.loc.gov/MARC21/slim"><leader>%s</leader>
        <controlfield tag="001">77</controlfield>
        <controlfield tag="008">130512s2013    xxk           000 0 ger d</controlfield>%s</record>
        """
        .formatted(leader, fields);
  }

  private static String field(String tag, String... subfields) {
    StringBuilder field =
        new StringBuilder("<datafield tag=\"%s\" ind1=\" \" ind2=\" \">".formatted(tag));
    for (int n = 0; n < subfields.length; n += 2) {
      field.append("<subfield code=\"%s\">%s</subfield>".formatted(subfields[n], subfields[n + 1]));
    }
    return field.append("</datafield>").toString();
  }

  private static final String ARTICLE = "00000nab a2200000 a 4500";
  private static final String BOOK = "00000nam a2200000 a 4500";

  @Test
  @DisplayName("MARC: an article with its journal, its people, its headings")
  void anArticle() {
    Publication read =
        read(
            marc(
                ARTICLE,
                field("024", "a", "10.5555/ave.7", "2", "doi")
                    + field(
                        "100",
                        "a",
                        "Oduya, Mercy,",
                        "e",
                        "author.",
                        "0",
                        "https://orcid.org/0000-0002-1825-0097",
                        "u",
                        "Fenland Institute")
                    + field(
                        "245", "a", "Dimming of verges :", "b", "a first look /", "c", "M. Oduya.")
                    + field("520", "a", "Visits rose.")
                    + field("650", "a", "Moths", "x", "Behaviour.", "0", "urn:heading:moths")
                    + field("650", "a", "Lamps.")
                    + field("653", "a", "dimming")
                    + field("700", "a", "Vance, I.", "4", "edt")
                    + field("700", "a", "Other, A.", "t", "Another work")
                    + field("710", "a", "Fenland Moth Scheme")
                    + field(
                        "773",
                        "t",
                        "Hedgerow Studies",
                        "x",
                        "1234-5679",
                        "g",
                        "Vol. 52, no. 3 (May 2013), p. 101-112")
                    + field("506", "a", "Open access", "2", "star")
                    + field("880", "6", "245-01", "a", "Das gedimmte Licht")));
    assertThat(read.title()).isEqualTo("Dimming of verges: a first look");
    assertThat(read.originalTitle()).isEqualTo("Das gedimmte Licht");
    assertThat(read.kind()).isEqualTo(Kind.ARTICLE);
    assertThat(read.authors()).containsExactly(new PersonName("Oduya", "Mercy"));
    assertThat(read.contributors())
        .containsExactly(
            new Contributor(
                new PersonName("Oduya", "Mercy"),
                "author",
                false,
                "0000-0002-1825-0097",
                List.of("Fenland Institute")),
            new Contributor(new PersonName("Vance", "I."), "editor", false, "", List.of()),
            new Contributor(
                new PersonName("Fenland Moth Scheme", ""), "contributor", true, "", List.of()));
    assertThat(read.date().orElseThrow()).hasToString("2013");
    assertThat(read.language()).isEqualTo("de");
    assertThat(read.host())
        .isEqualTo(new Host("Hedgerow Studies", "1234-5679", "52", "3", "101", "112"));
    assertThat(read.pages()).isEqualTo(12);
    assertThat(read.doi()).isEqualTo("10.5555/ave.7");
    assertThat(read.abstractText()).isEqualTo("Visits rose.");
    assertThat(read.headings())
        .containsExactly(new HeadingUse("urn:heading:moths", "Moths--Behaviour", false, List.of()));
    assertThat(read.keywords()).containsExactly("dimming", "Lamps");
    assertThat(read.open()).isTrue();
  }

  @Test
  @DisplayName("MARC: a book, a thesis, a chapter, a paper read at a meeting")
  void otherKinds() {
    String title = field("245", "a", "Lamps");
    Publication book =
        read(
            marc(
                BOOK,
                title
                    + field("020", "a", "9783161484100 (bound)")
                    + field("264", "b", "Fenland Press,", "c", "[2013]")
                    + field("300", "a", "184 pages :")));
    assertThat(book.kind()).isEqualTo(Kind.BOOK);
    assertThat(book.identifiers())
        .containsExactly(Identifier.of(Identifier.ISBN, "9783161484100").orElseThrow());
    assertThat(book.publisher()).isEqualTo("Fenland Press");
    assertThat(book.pages()).isEqualTo(184);
    assertThat(read(marc(BOOK, title + field("502", "a", "PhD"))).kind()).isEqualTo(Kind.THESIS);
    String inBook = field("773", "t", "Nights", "z", "9783161484100", "g", "pages 7-9");
    Publication chapter =
        read(marc("00000naa a22", title + inBook + field("020", "a", "9783161484100")));
    assertThat(chapter.kind()).isEqualTo(Kind.CHAPTER);
    assertThat(chapter.identifiers()).isEmpty();
    assertThat(chapter.host()).isEqualTo(new Host("Nights", "", "", "", "7", "9"));
    assertThat(read(marc(ARTICLE, title + inBook + field("711", "a", "A meeting"))).kind())
        .isEqualTo(Kind.CONFERENCE_PAPER);
    assertThat(read(marc(BOOK, title + field("655", "a", "Technical report."))).kind())
        .isEqualTo(Kind.REPORT);
  }

  @Test
  @DisplayName("MARC: what is odd is named, without a title it cannot be read")
  void oddMarc() {
    assertThat(reading(marc("", field("245", "a", "Lamps"))).problems())
        .containsExactly("a bibliographic level “ ” in the leader, taken as article");
    assertThat(RecordReader.read(marc(BOOK, "")))
        .isEqualTo(new SuppliedRecord.Unreadable("no title (field 245)"));
    assertThat(RecordReader.read("<record xmlns='urn:x'/>"))
        .isEqualTo(new SuppliedRecord.Unreadable("no format that is known: record"));
    assertThat(MarcReader.bare("Oduya, M. A.")).isEqualTo("Oduya, M. A.");
    assertThat(MarcReader.bare("Behaviour.")).isEqualTo("Behaviour");
  }

  private static final String JATS =
      """
      <article xmlns:xlink="http://www.w3.org/1999/xlink" article-type="research-article" xml:lang="en">
      <front><journal-meta><journal-title-group><journal-title>Hedgerow Studies</journal-title>
      </journal-title-group><issn pub-type="ppub">1234-5679</issn><publisher>
      <publisher-name>Fenland Press</publisher-name></publisher></journal-meta>
      <article-meta><article-id pub-id-type="doi">10.5555/ave.7</article-id>
      <article-id pub-id-type="pmid">4711</article-id>
      <title-group><article-title>Dimming of <italic>verges</italic></article-title>
      <subtitle>a first look</subtitle></title-group>
      <contrib-group><contrib contrib-type="author"><contrib-id contrib-id-type="orcid">https://orcid.org/0000-0002-1825-0097</contrib-id>
      <name><surname>Oduya</surname><given-names>Mercy</given-names></name><xref ref-type="aff" rid="a1"/></contrib>
      <contrib contrib-type="author"><collab>Fenland Moth Scheme</collab></contrib>
      <contrib contrib-type="editor"><name><surname>Vance</surname><given-names>I.</given-names></name></contrib>
      </contrib-group><aff id="a1"><label>1</label>Fenland Institute</aff>
      <pub-date pub-type="ppub"><month>9</month><year>2013</year></pub-date>
      <pub-date pub-type="epub"><day>12</day><month>5</month><year>2013</year></pub-date>
      <volume>52</volume><issue>3</issue><fpage>101</fpage><lpage>112</lpage>
      <permissions><license license-type="open-access"/></permissions>
      <related-article related-article-type="correction-forward" ext-link-type="doi" xlink:href="10.5555/ave.8"/>
      <abstract><sec><title>Aim</title><p>We looked.</p></sec><sec><title>Found</title><p>Visits rose.</p></sec></abstract>
      <abstract abstract-type="graphical"><p>A picture.</p></abstract>
      <kwd-group><kwd>dimming</kwd><kwd>moths</kwd></kwd-group>
      <counts><fig-count count="3"/><page-count count="12"/></counts></article-meta></front>
      <back><ref-list><ref><element-citation><pub-id pub-id-type="doi">10.5555/AVE.1</pub-id></element-citation></ref>
      <ref><mixed-citation>A note</mixed-citation></ref></ref-list></back></article>
      """;

  @Test
  @DisplayName("JATS: the head of an article, and what it cites")
  void jats() {
    Publication read = read(JATS);
    assertThat(read.title()).isEqualTo("Dimming of verges: a first look");
    assertThat(read.kind()).isEqualTo(Kind.ARTICLE);
    assertThat(read.authors())
        .containsExactly(
            new PersonName("Oduya", "Mercy"), new PersonName("Fenland Moth Scheme", ""));
    assertThat(read.contributors().get(0).orcid()).isEqualTo("0000-0002-1825-0097");
    assertThat(read.contributors().get(0).affiliations()).containsExactly("Fenland Institute");
    assertThat(read.contributors().get(1).body()).isTrue();
    assertThat(read.contributors().get(2).role()).isEqualTo("editor");
    assertThat(read.date().orElseThrow()).hasToString("2013-05-12");
    assertThat(read.issued().orElseThrow()).hasToString("2013-09");
    assertThat(read.host())
        .isEqualTo(new Host("Hedgerow Studies", "1234-5679", "52", "3", "101", "112"));
    assertThat(read.abstractText()).isEqualTo("Aim We looked. Found Visits rose.");
    assertThat(read.keywords()).containsExactly("dimming", "moths");
    assertThat(read.doi()).isEqualTo("10.5555/ave.7");
    assertThat(read.identifiers()).containsExactly(new Identifier("pmid", "4711"));
    assertThat(read.relations().notices())
        .containsExactly(new Relations.Notice("correction", "10.5555/ave.8", ""));
    assertThat(read.open()).isTrue();
    assertThat(read.figures()).contains(true);
    assertThat(read.pages()).isEqualTo(12);
    assertThat(read.publisher()).isEqualTo("Fenland Press");
    assertThat(read.cited().known()).isTrue();
    assertThat(read.cited().dois()).containsExactly("10.5555/ave.1");
  }

  @Test
  @DisplayName("JATS: notices name what they are about; what lacks is said")
  void jatsNotices() {
    Publication retraction =
        read(
            JATS.replace("research-article", "retraction")
                .replace("correction-forward", "retracted-article"));
    assertThat(retraction.kind()).isEqualTo(Kind.NOTICE);
    assertThat(retraction.relations()).isEqualTo(new Relations("", "10.5555/ave.8", List.of()));
    assertThat(reading(JATS.replaceAll("<year>\\d+</year>", "<year>soon</year>")).problems())
        .containsExactly("no date of publication can be read");
    assertThat(RecordReader.read("<article><front/></article>"))
        .isEqualTo(new SuppliedRecord.Unreadable("an article without front matter"));
    assertThat(RecordReader.read(JATS.replaceAll("(?s)<title-group>.*</title-group>", "")))
        .isEqualTo(new SuppliedRecord.Unreadable("no title"));
  }

  private static String dc(String elements) {
    return """
        <oai_dc:dc xmlns:oai_dc="http://www.openarchives.org/OAI/2.0/oai_dc/"
          xmlns:dc="http://purl.org/dc/elements/1.1/">%s</oai_dc:dc>
        """
        .formatted(elements.replaceAll("<(/?)", "<$1dc:"));
  }

  @Test
  @DisplayName(
      "Dublin Core as a repository writes it: three dates, terms as addresses, parts in one field")
  void asRepositoriesWriteIt() {
    Publication read =
        read(
            dc(
                """
                <title xml:lang="de">Das gedimmte Licht</title><title xml:lang="en">Dimming of verges</title>
                <creator>Oduya, Mercy; Vance, Ilse</creator><contributor>Berg, A. (ed.)</contributor>
                <date>2015-03-01T09:00:00Z</date><date>2015-03-01T09:00:00Z</date><date>2013-05</date>
                <date>info:eu-repo/date/embargoEnd/2014-01-01</date>
                <type>Text</type><type>info:eu-repo/semantics/article</type>
                <type>info:eu-repo/semantics/submittedVersion</type>
                <subject>bats, lighting, roads</subject>
                <description>Peer reviewed</description>
                <description xml:lang="de">Besuche nahmen zu, wo das Licht gedimmt war, sehr sogar.</description>
                <description xml:lang="en">Visits rose where the lights were dimmed in the night.</description>
                <language>de_DE</language><format>application/pdf</format>
                <identifier>https://repository.example/handle/9/9</identifier>
                <relation>info:eu-repo/semantics/altIdentifier/doi/10.5555/ave.7</relation>
                <relation>info:eu-repo/semantics/reference/doi/10.5555/AVE.1</relation>
                <relation>https://journal.example/10.5555/other</relation>
                <source>ISSN: 1234-5679</source>
                <source>Hedgerow Studies; Vol. 52 No. 3 (2013); 101-112</source>
                <rights>info:eu-repo/semantics/openAccess</rights>
                """));
    assertThat(read.title()).isEqualTo("Dimming of verges");
    assertThat(read.originalTitle()).isEqualTo("Das gedimmte Licht");
    assertThat(read.authors())
        .containsExactly(new PersonName("Oduya", "Mercy"), new PersonName("Vance", "Ilse"));
    assertThat(read.contributors().get(2).role()).isEqualTo("editor");
    assertThat(read.date().orElseThrow()).hasToString("2013-05");
    assertThat(read.kind()).isEqualTo(Kind.ARTICLE);
    assertThat(read.version()).isEqualTo(VersionKind.PREPRINT);
    assertThat(read.keywords()).containsExactly("bats", "lighting", "roads");
    assertThat(read.abstractText()).startsWith("Visits rose");
    assertThat(read.language()).isEqualTo("de");
    assertThat(read.doi()).isEqualTo("10.5555/ave.7");
    assertThat(read.cited().dois()).containsExactly("10.5555/ave.1");
    assertThat(read.host())
        .isEqualTo(new Host("Hedgerow Studies", "1234-5679", "52", "3", "101", "112"));
    assertThat(read.open()).isTrue();
  }

  @Test
  @DisplayName(
      "Dublin Core: a DOI that only a relation has is taken, but not of the book around a chapter")
  void doisOfRelations() {
    String related = "<title>Lamps</title><type>%s</type><relation>doi:10.5555/ave.7</relation>";
    assertThat(read(dc(related.formatted("article"))).doi()).isEqualTo("10.5555/ave.7");
    assertThat(read(dc(related.formatted("bookPart"))).doi()).isEmpty();
    assertThat(read(dc(related.formatted("article") + "<relation>10.5555/x</relation>")).doi())
        .isEmpty();
    assertThat(
            read(dc("<title>Lamps</title><date>2013-05-01T10:00:00Z</date>")).date().orElseThrow())
        .hasToString("2013-05-01");
    assertThat(read(dc("<title>Lamps</title><rights>restrictedAccess</rights>")).open()).isFalse();
  }

  @Test
  @DisplayName(
      "MODS of others: a genre among several, the date for machines, the code of a language")
  void modsOfOthers() {
    Publication read =
        read(
            """
            <mods xmlns="http://www.loc.gov/mods/v3"><titleInfo><title>Lamps</title></titleInfo>
            <genre>bibliography</genre><genre>info:eu-repo/semantics/bookPart</genre>
            <originInfo><dateIssued>spring of 2013</dateIssued>
            <dateIssued keyDate="yes" encoding="w3cdtf">2013-05</dateIssued></originInfo>
            <language><languageTerm type="text">German</languageTerm>
            <languageTerm type="code">eng</languageTerm></language></mods>
            """);
    assertThat(read.kind()).isEqualTo(Kind.CHAPTER);
    assertThat(read.date().orElseThrow()).hasToString("2013-05");
    assertThat(read.language()).isEqualTo("en");
  }

  @Test
  @DisplayName("An abstract of one long paragraph is whole, whatever the element is called")
  void longAbstracts() {
    String prose = "Visits rose. ".repeat(200).strip();
    assertThat(read(JATS.replace("Visits rose.", prose)).abstractText()).endsWith(prose);
    assertThat(
            read(marc(BOOK, field("245", "a", "Lamps") + field("520", "a", prose))).abstractText())
        .isEqualTo(prose);
  }

  @Test
  @DisplayName("Formats are known by their namespaces, whatever their prefixes")
  void byNamespace() {
    assertThat(RecordFormat.offered("x", "http://www.loc.gov/mods/v3")).contains(RecordFormat.MODS);
    assertThat(RecordFormat.offered("pmc", "https://jats.nlm.nih.gov/ns/archiving/1.4/"))
        .contains(RecordFormat.JATS);
    assertThat(RecordFormat.offered("marc21", "http://example.org/odd"))
        .contains(RecordFormat.MARCXML);
    assertThat(RecordFormat.offered("etdms", "http://example.org/etdms")).isEmpty();
  }
}
