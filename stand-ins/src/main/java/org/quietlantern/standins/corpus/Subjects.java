package org.quietlantern.standins.corpus;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.quietlantern.standins.words.Lexicon;

/** What is said of a work beside its text: headings, keywords, what was studied. */
final class Subjects {
  /** Disciplines of journals, and for which taxa and sorts of study they are. */
  private static final Map<String, Set<String>> DISCIPLINES =
      Map.ofEntries(
          Map.entry("entomology", Set.of("moth", "insect", "beetle", "spider")),
          Map.entry("mammalogy", Set.of("bat", "mammal")),
          Map.entry("ornithology", Set.of("bird")),
          Map.entry("botany", Set.of("plant", "tree")),
          Map.entry("freshwater", Set.of("water", "fish", "algae", "plankton")),
          Map.entry("agronomy", Set.of("crop")),
          Map.entry("genetics", Set.of("gene")),
          Map.entry("methods", Set.of("method", "model", "track")),
          Map.entry("remote sensing", Set.of("map")),
          Map.entry("lighting", Set.of("lamp")),
          Map.entry("social science", Set.of("people")),
          Map.entry("planning", Set.of("people", "map", "spares")),
          Map.entry("physiology", Set.of("lab", "gene")),
          Map.entry("behaviour", Set.of("track", "lab")),
          Map.entry("conservation", Set.of("trend", "trial", "spares")),
          Map.entry("natural history", Set.of("survey", "trend")),
          Map.entry("ecology", Set.of("field", "meta", "review", "model")));

  private static final Map<Genre, String> METHOD_HEADINGS =
      Map.of(
          Genre.META, "Meta-analysis",
          Genre.REVIEW, "Systematic reviews",
          Genre.MODEL, "Modelling",
          Genre.MAP, "Remote sensing",
          Genre.PEOPLE, "Public attitudes",
          Genre.GENE, "Gene expression",
          Genre.TRIAL, "Field experiments",
          Genre.LAB, "Laboratory experiments");

  private static final Map<String, List<String>> STAGES =
      Map.of(
          "insect", List.of("egg", "larva", "pupa", "adult"),
          "bird", List.of("egg", "nestling", "juvenile", "adult"),
          "mammal", List.of("juvenile", "adult"),
          "amphibian", List.of("egg", "tadpole", "adult"),
          "fish", List.of("egg", "juvenile", "adult"),
          "plant", List.of("seed", "seedling", "mature plant"));

  private Subjects() {}

  static boolean suits(Journal journal, Study study) {
    return DISCIPLINES.get(journal.discipline()).stream().anyMatch(study.circumstances()::contains);
  }

  static List<Topic> topics(Study study, Random random) {
    Map<String, Topic> topics = new LinkedHashMap<>();
    add(topics, study.taxon().heading(), random.nextInt(10) < 7, "effects of light on", random);
    add(topics, study.light().heading(), random.nextBoolean(), "planning and control of", random);
    add(topics, study.response().heading(), random.nextInt(4) == 0, "effects of light on", random);
    if (random.nextBoolean()) {
      add(topics, study.responses().get(1).heading(), false, "", random);
    }
    if (random.nextInt(3) > 0) {
      add(topics, study.habitat().heading(), false, "conservation of", random);
    }
    String method = METHOD_HEADINGS.getOrDefault(study.genre(), study.method().heading());
    add(topics, method, study.genre() == Genre.METHOD, "methods for", random);
    return List.copyOf(topics.values());
  }

  private static void add(
      Map<String, Topic> topics, String label, boolean central, String aspect, Random random) {
    if (!Headings.ALL.containsKey(label)) {
      throw new IllegalStateException("no such heading: " + label);
    }
    boolean said = central && !aspect.isEmpty() && random.nextInt(4) > 0;
    String other = random.nextInt(4) == 0 ? "methods for" : aspect;
    topics.putIfAbsent(label, new Topic(label, central, said ? List.of(other) : List.of()));
  }

  static List<String> keywords(Study study, Random random) {
    if (random.nextInt(7) == 0) {
      return List.of();
    }
    List<String> words =
        new java.util.ArrayList<>(
            Stream.of(
                    study.light().keyword(),
                    study.light().shortly().replaceFirst("^the ", ""),
                    random.nextBoolean() ? study.taxon().plural() : study.taxon().formal(),
                    study.response().name(),
                    study.method().name(),
                    study.habitat().name(),
                    study.moderators().get(0).name(),
                    random.nextBoolean() ? "nocturnal ecology" : "conservation",
                    study.place().country())
                .distinct()
                .toList());
    java.util.Collections.shuffle(words.subList(1, words.size()), random);
    List<String> chosen = words.subList(0, 3 + random.nextInt(4));
    return study.place().american()
        ? chosen.stream().map(Spelling::american).distinct().toList()
        : chosen;
  }

  static Work.Facts facts(Study study, Random random, Optional<Boolean> openJournal) {
    Lexicon.Taxon taxon = study.taxon();
    List<String> stages =
        STAGES.entrySet().stream()
            .filter(e -> taxon.kinds().contains(e.getKey()))
            .map(Map.Entry::getValue)
            .findFirst()
            .orElse(List.of());
    boolean empirical = study.genre() != Genre.PEOPLE && study.genre() != Genre.LAMP;
    return new Work.Facts(
        study.genre().studyKind(),
        taxon.heading(),
        study.place().name(),
        empirical ? some(stages, random) : List.of(),
        empirical && random.nextInt(3) == 0 ? some(List.of("female", "male"), random) : List.of(),
        random.nextInt(10) < 8,
        openJournal.orElse(false) || random.nextInt(100) < 22);
  }

  private static List<String> some(List<String> of, Random random) {
    return of.stream().filter(one -> random.nextInt(100) < 45).toList();
  }
}
