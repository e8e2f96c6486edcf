package org.quietlantern.standins.corpus;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;

/** Sorts of study: how often, what can be said of them, and the heading for the kind of study. */
enum Genre {
  TRIAL(18, "Field experiment", "field experiment"),
  SURVEY(20, "Observational field study", "field"),
  LAB(13, "Laboratory experiment", "experiment"),
  TRACK(8, "Tracking study", ""),
  TREND(6, "Long-term study", ""),
  MAP(6, "Mapping study", ""),
  MODEL(6, "Modelling study", ""),
  GENE(4, "Molecular study", ""),
  PEOPLE(5, "Social survey", ""),
  LAMP(5, "Technical measurement", ""),
  META(2, "Meta-analysis", ""),
  REVIEW(4, "Narrative review", ""),
  METHOD(5, "Method description", "");

  private static final Set<Genre> SYNTHESES = Set.of(META, REVIEW);
  private final int weight;
  private final String studyKind;
  private final String said;

  Genre(int weight, String studyKind, String said) {
    this.weight = weight;
    this.studyKind = studyKind;
    this.said = said;
  }

  String studyKind() {
    return studyKind;
  }

  /** The circumstances of {@link org.quietlantern.standins.words.Sayings} that it brings. */
  Set<String> said() {
    Set<String> all = new TreeSet<>(Set.of(name().toLowerCase(Locale.ROOT)));
    Collections.addAll(all, said.split(" "));
    return all;
  }

  /** Each as often as its weight; {@code syntheses}: only those that sum up other work. */
  static List<Genre> urn(boolean syntheses) {
    return Arrays.stream(values())
        .filter(g -> SYNTHESES.contains(g) == syntheses)
        .flatMap(g -> java.util.Collections.nCopies(g.weight, g).stream())
        .toList();
  }
}
