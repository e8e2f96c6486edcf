package org.quietlantern.core.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class HeadingsTest {
  private final List<Concept> concepts = new ArrayList<>();

  private void add(String label, String... names) {
    concepts.add(Concept.plain("urn:" + label, "urn:h", label, List.of(names), List.of()));
  }

  @DisplayName("H1: everyday words lead to headings through any of their names, best first")
  @Test
  void everydayWords() {
    add("Lepidoptera", "Moths", "Butterflies and moths");
    add("Moth traps");
    add("Mothballs");
    add("Light traps", "Traps for moths");
    add("Bats", "Chiroptera", "…");
    Headings headings = new Headings(concepts, List.of());
    assertThat(met(headings, "moth"))
        .containsExactly(
            "Lepidoptera by Moths",
            "Moth traps by Moth traps",
            "Light traps by Traps for moths",
            "Mothballs by Mothballs");
    assertThat(met(headings, "Moths' TRAP"))
        .containsExactly("Moth traps by Moth traps", "Light traps by Traps for moths");
    assertThat(met(headings, "chirópt")).containsExactly("Bats by Chiroptera");
    assertThat(met(headings, "owl")).isEmpty();
    assertThat(met(headings, "  …")).isEmpty();
  }

  private static List<String> met(Headings headings, String typed) {
    return headings.lookUp(typed, 10).stream()
        .map(named -> named.heading().label() + " by " + named.name())
        .toList();
  }

  @DisplayName("H1: a heading is named in the singular and in the plural alike")
  @Test
  void number() {
    add("Moths", "Night butterflies");
    add("Fly");
    add("Grasses");
    add("Focus");
    Headings headings = new Headings(concepts, List.of());
    for (String name : List.of("moth", "MOTHS", "night butterfly")) {
      assertThat(headings.find(name).orElseThrow().heading().label()).isEqualTo("Moths");
    }
    assertThat(headings.find("flies").orElseThrow().heading().label()).isEqualTo("Fly");
    assertThat(headings.find("grass").orElseThrow().heading().label()).isEqualTo("Grasses");
    assertThat(headings.find("focus").orElseThrow().heading().label()).isEqualTo("Focus");
    assertThat(headings.find("foc")).isEmpty();
  }

  @DisplayName("H1, H4: a preferred name wins over another, that over a former one")
  @Test
  void oneNameForTwo() {
    add("Owls", "Glare");
    add("Glare");
    concepts.add(
        Concept.plain("urn:n", "urn:h", "Night", List.of(), List.of())
            .with(new Concept.Fate(false, List.of(), List.of("Glare", "Dusk"))));
    Headings headings = new Headings(concepts, List.of());
    assertThat(headings.find("glare").orElseThrow().heading().label()).isEqualTo("Glare");
    Headings.Named former = headings.find("DUSK").orElseThrow();
    assertThat(former.heading().label()).isEqualTo("Night");
    assertThat(former.kind()).isEqualTo(Headings.Kind.FORMER);
    assertThat(headings.find("nothing")).isEmpty();
  }

  @DisplayName("H4: what was split leads to all that took its place, with what is below them")
  @Test
  void whatTookItsPlace() {
    add("Glare");
    concepts.add(
        Concept.plain("urn:street", "urn:h", "Street glare", List.of(), List.of("urn:Glare")));
    add("Skyglow");
    concepts.add(
        Concept.plain("urn:old", "urn:h", "Nuisance", List.of(), List.of())
            .with(new Concept.Fate(true, List.of("urn:Glare", "urn:Skyglow"), List.of())));
    Headings headings = new Headings(concepts, List.of());
    Concept old = headings.find("nuisance").orElseThrow().heading();
    assertThat(headings.reach(old, false)).containsExactly("urn:old", "urn:Glare", "urn:Skyglow");
    assertThat(headings.reach(old, true))
        .containsExactly("urn:old", "urn:Glare", "urn:Skyglow", "urn:street");
    assertThat(headings.tops()).extracting(Concept::label).containsExactly("Glare", "Skyglow");
  }
}
