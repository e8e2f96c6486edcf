package org.quietlantern.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.quietlantern.core.publication.ChangeKind.ACCESS;
import static org.quietlantern.core.publication.ChangeKind.CITED;
import static org.quietlantern.core.publication.ChangeKind.FIELDS;
import static org.quietlantern.core.publication.ChangeKind.FINAL;
import static org.quietlantern.core.publication.ChangeKind.HEADINGS;
import static org.quietlantern.core.publication.ChangeKind.OPENED;
import static org.quietlantern.core.publication.ChangeKind.TEXT;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ChangeKindTest {
  private static final Publication BEFORE = Made.plain().read();

  /** Another value of each part of a publication, and what a change to it is called. */
  private static final Map<String, Map.Entry<Object, Set<ChangeKind>>> OTHER =
      Map.ofEntries(
          part("title", "Another title", TEXT),
          part("originalTitle", "Ein anderer Titel", TEXT),
          part("abstractText", "We dimmed lamps.", TEXT),
          part("language", "de", TEXT),
          part("kind", Kind.REVIEW, FIELDS),
          part("version", VersionKind.PREPRINT, FIELDS),
          part("authors", List.of(new PersonName("Vance", "Teodor")), FIELDS),
          part("contributors", List.of(Contributor.author(new PersonName("Vance", ""))), FIELDS),
          part("date", PartialDate.read("2024"), FIELDS),
          part("issued", PartialDate.read("2026"), FIELDS),
          part("host", new Host("Night", "", "3", "", "", ""), FIELDS),
          part("publisher", "Dusk Press", FIELDS),
          part("headings", Made.plain().heading("Bats", true).read().headings(), HEADINGS),
          part("keywords", List.of("lamps"), HEADINGS),
          part("doi", "10.5555/other", FIELDS),
          part("relations", new Relations("10.5555/later", "", List.of()), FIELDS),
          part("pages", 12, FIELDS),
          part(
              "studied",
              new Studied(List.of("trial"), List.of(), List.of(), List.of(), List.of()),
              FIELDS),
          part("open", true, OPENED),
          part("copies", Made.plain().copy("https://dusk.example/a", true).read().copies(), ACCESS),
          part("figures", Optional.of(true), FIELDS),
          part("cited", new Cited(true, List.of("10.5555/a")), CITED),
          part("identifiers", Made.plain().number("pmid", "123").read().identifiers(), FIELDS));

  private static Map.Entry<String, Map.Entry<Object, Set<ChangeKind>>> part(
      String name, Object other, ChangeKind... kinds) {
    return Map.entry(name, Map.entry(other, Set.of(kinds)));
  }

  static List<String> parts() {
    return Arrays.stream(Publication.class.getRecordComponents())
        .map(RecordComponent::getName)
        .toList();
  }

  @ParameterizedTest
  @MethodSource("parts")
  void everyPartHasItsKind(String part) throws ReflectiveOperationException {
    Publication after = with(part, OTHER.get(part).getKey());
    assertThat(after).isNotEqualTo(BEFORE);
    assertThat(ChangeKind.between(BEFORE, after)).isEqualTo(OTHER.get(part).getValue());
    assertThat(ChangeKind.between(after, after)).isEmpty();
  }

  @Test
  void aCopyThatIsNotOpenAnyMoreIsNoNews() throws ReflectiveOperationException {
    assertThat(ChangeKind.between(with("open", true), BEFORE)).containsExactly(ACCESS);
  }

  private static Publication with(String part, Object other) throws ReflectiveOperationException {
    RecordComponent[] all = Publication.class.getRecordComponents();
    Object[] values = new Object[all.length];
    for (int i = 0; i < all.length; i++) {
      values[i] = all[i].getName().equals(part) ? other : all[i].getAccessor().invoke(BEFORE);
    }
    return Publication.class
        .getDeclaredConstructor(
            Arrays.stream(all).map(RecordComponent::getType).toArray(Class[]::new))
        .newInstance(values);
  }

  @ParameterizedTest
  @CsvSource({
    "retraction, RETRACTED",
    "correction, CORRECTED",
    "erratum, CORRECTED",
    "expression of concern, CONCERN"
  })
  void noticesAreToldByWhatTheySay(String notice, ChangeKind kind)
      throws ReflectiveOperationException {
    Publication after = with("relations", notices(notice));
    assertThat(ChangeKind.between(BEFORE, after)).containsExactly(kind);
    assertThat(ChangeKind.between(after, BEFORE)).as("taken back").containsExactly(FIELDS);
    assertThat(ChangeKind.between(after, with("relations", notices(notice, "addendum"))))
        .as("told once")
        .containsExactly(FIELDS);
  }

  private static Relations notices(String... kinds) {
    return new Relations(
        "",
        "",
        Arrays.stream(kinds)
            .map(kind -> new Relations.Notice(kind, "10.5555/" + kind, "2026-11-20"))
            .toList());
  }

  @Test
  void aPreprintThatAppears() {
    Publication preprint = Made.plain().version(VersionKind.PREPRINT).read();
    Publication accepted = Made.plain().version(VersionKind.ACCEPTED).read();
    assertThat(ChangeKind.between(preprint, BEFORE)).containsExactly(FINAL);
    assertThat(ChangeKind.between(accepted, BEFORE)).contains(FINAL);
    assertThat(ChangeKind.between(preprint, accepted)).containsExactly(FIELDS);
    assertThat(ChangeKind.between(BEFORE, preprint)).containsExactly(FIELDS);
  }

  @Test
  void severalRespects() {
    Publication before = Made.plain().text("old").keywords("a").read();
    Publication after = Made.plain().text("new").keywords("b").read();
    assertThat(ChangeKind.between(before, after)).containsExactly(TEXT, HEADINGS);
  }
}
