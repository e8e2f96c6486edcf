package org.quietlantern.core.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

@DisplayName("A vocabulary file: every problem with its line, the rest is read")
class SkosProblemsTest {
  private static final String BEGIN =
      """
      @prefix skos: <http://www.w3.org/2004/02/skos/core#> .
      @prefix owl: <http://www.w3.org/2002/07/owl#> .
      @prefix dct: <http://purl.org/dc/terms/> .
      @prefix x: <urn:x:> .
      """;

  @Test
  void circlesLoseTheirLastLink() {
    SkosReader.Read read =
        read(
            """
            x:a skos:prefLabel "A" ; skos:broader x:c .
            x:b skos:prefLabel "B" ;
              skos:broader x:a .
            x:c skos:prefLabel "C" ; skos:broader x:b .
            x:d skos:prefLabel "D" ; skos:broader x:d .
            """);
    assertThat(problems(read))
        .containsExactly(
            "line 7: “B” lies under itself, through “A”",
            "line 9: “D” lies under itself, through “D”");
    assertThat(read.concepts()).extracting(Concept::label).containsExactly("A", "B", "C", "D");
    Headings headings = new Headings(read.concepts(), List.of());
    assertThat(headings.reach(headings.get("urn:x:a").orElseThrow(), true))
        .containsExactly("urn:x:a");
  }

  @DisplayName("Reading a large file tells how far it is, and ends when it is told to, in any form")
  @ParameterizedTest
  @EnumSource(SkosFormat.class)
  void progress(SkosFormat format) {
    List<Concept> many =
        IntStream.range(0, 700)
            .mapToObj(i -> Concept.plain("urn:x:" + i, "urn:x", "Lamp " + i, List.of(), List.of()))
            .toList();
    byte[] file = SkosWriter.write(many, format).getBytes(StandardCharsets.UTF_8);
    List<Integer> told = new ArrayList<>();
    assertThat(SkosReader.read(file, told::add).concepts()).hasSize(700);
    assertThat(told).contains(0, 250, 500).isSorted();
    IllegalStateException enough = new IllegalStateException("enough");
    assertThatThrownBy(
            () ->
                SkosReader.read(
                    file,
                    terms -> {
                      if (terms > 0) {
                        throw enough;
                      }
                    }))
        .isSameAs(enough);
  }

  @DisplayName("Chains and circles of many thousand terms are looked through in as many steps")
  @Test
  void longWays() {
    int many = 30_000;
    StringBuilder turtle = new StringBuilder();
    for (int i = 0; i < many; i++) {
      turtle
          .append(
              "x:t%d skos:prefLabel \"T%d\" ; skos:broader x:t%d".formatted(i, i, (i + 1) % many))
          .append(i > 2 ? ", x:t%d, x:t%d .\n".formatted((i + 2) % many, (i + 3) % many) : " .\n");
    }
    SkosReader.Read read =
        assertTimeoutPreemptively(Duration.ofSeconds(60), () -> read(turtle.toString()));
    assertThat(read.concepts()).hasSize(many);
    assertThat(problems(read)).isNotEmpty().allMatch(said -> said.contains("lies under itself"));
  }

  @Test
  void missingEndsAndNamesSaidTwice() {
    SkosReader.Read read =
        read(
            """
            x:a skos:prefLabel "Bats"@en , "Chiroptera"@en , "Fledermäuse"@de ;
              skos:related x:nowhere .
            x:b skos:inScheme x:s ; skos:prefLabel "Owls" .
            x:c skos:inScheme x:s ; skos:prefLabel "OWLS" .
            """);
    assertThat(problems(read))
        .containsExactly(
            "line 5: urn:x:a has two preferred names: “Bats”, “Chiroptera”",
            "line 6: “Bats” is related urn:x:nowhere, which is not there",
            "line 8: “OWLS” is the preferred name of urn:x:b and of urn:x:c");
    assertThat(read.concepts().get(0).names()).containsExactly("Chiroptera", "Fledermäuse");
  }

  @Test
  void whatWasReplacedIsRetired() {
    SkosReader.Read read =
        read(
            """
            x:old skos:prefLabel "Light nuisance" ; dct:isReplacedBy x:a , x:b .
            x:a skos:prefLabel "Glare" ; skos:definition "Too much of it." .
            x:b skos:prefLabel "Skyglow" .
            x:gone skos:prefLabel "Ether" ; owl:deprecated true .
            """);
    assertThat(problems(read)).isEmpty();
    assertThat(read.concepts().get(0).fate())
        .isEqualTo(new Concept.Fate(true, List.of("urn:x:a", "urn:x:b"), List.of()));
    assertThat(read.concepts().get(1).note()).isEqualTo("Too much of it.");
    assertThat(read.concepts().get(3).fate().retired()).isTrue();
  }

  @Test
  void rdfXmlIsRead() {
    SkosReader.Read read =
        SkosReader.read(
            """
            <?xml version="1.0" encoding="UTF-8"?>
            <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"
                xmlns:skos="http://www.w3.org/2004/02/skos/core#">
              <skos:Concept rdf:about="urn:x:bats">
                <skos:prefLabel xml:lang="en">Bats</skos:prefLabel>
                <skos:broader rdf:resource="urn:x:nowhere"/>
              </skos:Concept>
            </rdf:RDF>
            """);
    assertThat(read.concepts()).extracting(Concept::label).containsExactly("Bats");
    assertThat(problems(read))
        .containsExactly("line 4: “Bats” is under urn:x:nowhere, which is not there");
  }

  @DisplayName("A file in another encoding, and XML that reaches outside, are refused")
  @Test
  void hostileFiles() {
    byte[] latin = (BEGIN + "x:a skos:prefLabel \"Käfer\" .").getBytes(StandardCharsets.ISO_8859_1);
    assertThat(problems(SkosReader.read(latin))).containsExactly("line 5: this is not UTF-8");
    SkosReader.Read read =
        SkosReader.read(
            """
            <?xml version="1.0"?>
            <!DOCTYPE r [<!ENTITY e SYSTEM "file:///etc/hostname">]>
            <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"
                xmlns:skos="http://www.w3.org/2004/02/skos/core#">
              <skos:Concept rdf:about="urn:x:a"><skos:prefLabel>&e;</skos:prefLabel></skos:Concept>
            </rdf:RDF>
            """);
    assertThat(read.concepts()).isEmpty();
    assertThat(problems(read).get(0))
        .endsWith("a document type is not read: it reaches outside of the file");
  }

  @DisplayName("Schemes and collections have names, and are no headings")
  @Test
  void schemesAndCollections() {
    SkosReader.Read read =
        read(
            """
            x:s a skos:ConceptScheme ; skos:prefLabel "All of it" ; skos:hasTopConcept x:a .
            x:flyers a skos:Collection ; skos:prefLabel "Flyers" ; skos:member x:a .
            x:row a skos:OrderedCollection ; skos:prefLabel "By size" .
            x:a a skos:Concept ; skos:prefLabel "Bats" .
            x:b a skos:Concept ; skos:prefLabel "Owls" ; skos:topConceptOf x:s .
            """);
    assertThat(problems(read)).isEmpty();
    assertThat(read.concepts()).extracting(Concept::label).containsExactly("Bats", "Owls");
    assertThat(read.concepts()).extracting(Concept::scheme).containsOnly("urn:x:s");
  }

  @DisplayName("The mark of UTF-8 before the first sign is no part of the file, whatever its form")
  @Test
  void marked() {
    String xml =
        """
        <?xml version="1.0"?>
        <rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"
            xmlns:skos="http://www.w3.org/2004/02/skos/core#">
          <skos:Concept rdf:about="urn:x:a"><skos:prefLabel>Bats</skos:prefLabel></skos:Concept>
        </rdf:RDF>
        """;
    String json =
        """
        {"@id": "urn:x:a", "http://www.w3.org/2004/02/skos/core#prefLabel": "Bats"}
        """;
    for (String text : List.of(BEGIN + "x:a skos:prefLabel \"Bats\" .", xml, json)) {
      SkosReader.Read read = SkosReader.read(("\uFEFF" + text).getBytes(StandardCharsets.UTF_8));
      assertThat(problems(read)).isEmpty();
      assertThat(read.concepts()).extracting(Concept::label).containsExactly("Bats");
    }
  }

  @DisplayName("A file that cannot be read says why in plain words")
  @Test
  void plainMessages() {
    assertThat(problems(read("x:a skos:prefLabel \"Bats\"\nx:b skos:prefLabel \"Owls\" .")))
        .containsExactly("line 6: “.” is missing before “x”");
    assertThat(problems(read("y:a skos:prefLabel \"Bats\" .")))
        .containsExactly("line 5: the prefix “y” is used and nowhere declared");
    assertThat(problems(read("x:a skos:prefLabel \"Bats\" ;\n skos:broader ")))
        .containsExactly("the file ends in the middle");
    assertThat(problems(SkosReader.read("name,broader\nBats,Mammals\n")))
        .singleElement()
        .asString()
        .startsWith("line 1: ");
    assertThat(problems(SkosReader.read("{\"@context\": \"https://names.example/x\"}")))
        .containsExactly("it needs https://names.example/x, and nothing outside of a file is read");
    assertThat(problems(SkosReader.read("{\"a\": ")))
        .singleElement()
        .asString()
        .startsWith("this cannot be read as JSON-LD");
  }

  private static SkosReader.Read read(String turtle) {
    return SkosReader.read((BEGIN + turtle).getBytes(StandardCharsets.UTF_8));
  }

  private static List<String> problems(SkosReader.Read read) {
    return read.problems().stream().map(SkosReader.Problem::toString).toList();
  }
}
