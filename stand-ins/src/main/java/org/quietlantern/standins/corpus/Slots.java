package org.quietlantern.standins.corpus;

import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import java.util.function.Supplier;
import org.quietlantern.standins.words.Lexicon;
import org.quietlantern.standins.words.RareWords;

/**
 * What the slots of templates stand for in one work: its words, with the formal name or the
 * abbreviation at first mention, and its figures, the same throughout.
 */
final class Slots {
  private final Study study;
  private final Random random;
  private final Map<String, Supplier<String>> words = new HashMap<>();
  private final Map<String, String> figures;
  private boolean taxonNamed;
  private boolean lightNamed;
  private int habitatNamed;
  private final RareWords sites;

  Slots(Study study, int year, RareWords sites, Random random) {
    this.sites = sites;
    this.study = study;
    this.random = random;
    this.figures = Figures.of(study, year, random);
    nouns();
    verbs();
  }

  /** In an abstract. */
  String inText(String name) {
    String figure = figures.get(name);
    if (figure != null) {
      return figure;
    }
    Supplier<String> word = words.get(name);
    if (word == null) {
      throw new IllegalArgumentException("no such slot: " + name);
    }
    return word.get();
  }

  /** In a title, where nothing is explained. */
  String inTitle(String name) {
    return switch (name) {
      case "light" -> random.nextInt(4) == 0 ? study.light().shortly() : study.light().formal();
      case "lightS" -> either(study.light().formal(), study.light().shortly());
      case "lightq" -> bare(either(study.light().formal(), study.light().shortly()));
      case "athab" ->
          Studies.pick(random, study.habitat().prepositions()) + " " + study.habitat().name();
      case "taxa" -> either(study.taxon().plural(), study.taxon().plural(), study.taxon().later());
      default -> inText(name);
    };
  }

  private static String bare(String phrase) {
    return phrase.replaceFirst("^(a|the) ", "");
  }

  private void nouns() {
    Lexicon.Taxon taxon = study.taxon();
    words.put("taxa", () -> either(taxon.plural(), taxon.later()));
    words.put("taxa1", this::taxonAtFirst);
    words.put("they", () -> either(taxon.later(), taxon.plural(), taxon.later()));
    words.put("taxon", taxon::singular);
    words.put("light", this::light);
    words.put("light1", this::lightAtFirst);
    words.put("lightS", () -> study.light().shortly());
    words.put("lightq", () -> bare(study.light().shortly()));
    words.put("lamps", study.light()::lamps);
    words.put(
        "lamps0",
        () ->
            study.light().spares()
                ? either("street lamps", "road lamps", "white lamps", "bright lamps", "lamps")
                : study.light().lamps());
    words.put("lamp", () -> either("a lamp", "a lit pole", "a luminaire", "a bright window"));
    words.put("resp", () -> said(0));
    words.put("respn", () -> study.response().name());
    words.put("other", () -> said(1));
    words.put("third", () -> said(2));
    words.put("habitat", () -> study.habitat().name());
    words.put("athab", this::atHabitat);
    words.put("site", sites::next);
    words.put("unit", study.response()::unit);
    words.put("place", () -> study.place().name());
    words.put("place2", () -> study.otherPlace().name());
    words.put("mod", () -> study.moderators().get(0).name());
    words.put("mod2", () -> study.moderators().get(1).name());
    words.put("method", () -> study.method().name());
    words.put("season", this::season);
  }

  private void verbs() {
    boolean up = study.change() > 0;
    String[] rose = {"rose", "increased", "grew", "went up", "climbed"};
    String[] fell = {"fell", "declined", "dropped", "decreased", "went down"};
    words.put("rose", () -> either(up ? rose : fell));
    words.put("fell", () -> either(fell));
    words.put("rosefell", () -> either("rose", "fell", "increased", "declined"));
    words.put(
        "moved",
        () ->
            up
                ? either("raised", "increased", "lifted", "enhanced")
                : either("lowered", "reduced", "cut", "depressed"));
    words.put("more", () -> up ? either("higher", "greater") : either("lower", "less"));
    words.put("later", () -> up ? "later" : "earlier");
    words.put("steeper", () -> either("steeper", "stronger"));
    words.put(
        "alters3",
        () ->
            study.change() == 0 || study.mixed()
                ? either("and", "in relation to")
                : either(
                    "alters", "changes", up ? "raises" : "lowers", up ? "increases" : "reduces"));
  }

  private String taxonAtFirst() {
    if (taxonNamed) {
      return study.taxon().plural();
    }
    taxonNamed = true;
    return study.taxon().plural() + " (" + study.taxon().formal() + ")";
  }

  private String light() {
    return lightNamed
        ? either(study.light().shortly(), study.light().formal())
        : study.light().formal();
  }

  private String lightAtFirst() {
    if (lightNamed) {
      return light();
    }
    lightNamed = true;
    return study.light().spelledOut();
  }

  /** By name twice, then now and then as the sites that they are. */
  private String atHabitat() {
    return ++habitatNamed < 3 || random.nextBoolean()
        ? Studies.pick(random, study.habitat().prepositions()) + " " + study.habitat().name()
        : either("at such sites", "in these places", "at the study sites", "at sites like these");
  }

  private String said(int which) {
    Lexicon.Response response = study.responses().get(which);
    return random.nextInt(5) < 3 ? response.name() : response.otherwise();
  }

  private String season() {
    return either(
        "early spring",
        "late spring",
        "early summer",
        "late summer",
        "July",
        "August",
        "September",
        "late autumn",
        "May",
        "June",
        "the first warm weeks",
        "the rains",
        "winter");
  }

  private String either(String... ways) {
    return ways[random.nextInt(ways.length)];
  }
}
