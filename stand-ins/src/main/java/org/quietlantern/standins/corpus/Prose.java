package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.quietlantern.standins.words.RareWords;
import org.quietlantern.standins.words.Sayings;
import org.quietlantern.standins.words.Template;

/** Puts a study into words: its title, its abstract. */
final class Prose {
  private static final Sayings SENTENCES =
      Sayings.of(
          "sentences/openings.txt",
          "sentences/aims.txt",
          "sentences/methods.txt",
          "sentences/results.txt",
          "sentences/closings.txt");
  private static final Sayings TITLES = Sayings.of("titles.txt");
  private final Study study;
  private final Random random;
  private final Set<String> circumstances;
  private final Set<Template> used = new HashSet<>();
  private final Slots slots;

  Prose(Study study, int year, RareWords sites, Random random) {
    this.study = study;
    this.random = random;
    this.circumstances = study.circumstances();
    this.slots = new Slots(study, year, sites, random);
  }

  /** {@code kind} as in {@link Work}; kinds without titles of their own are titled as studies. */
  String title(String kind) {
    String name = TITLES.has(kind) ? kind : "title";
    return spelled(
        Template.capital(
            Studies.pick(random, TITLES.suiting(name, circumstances))
                .write(random, slots::inTitle)));
  }

  /** Of five to nine sentences; now and then in numbered points or under labels. */
  String summary() {
    List<String> why = sentences("opening", chance(80) ? 1 : 0);
    why.addAll(sentences("gap", why.isEmpty() || chance(45) ? 1 : 0));
    List<String> what = sentences("aim", 1);
    List<String> how = new ArrayList<>(sentences(designName(), 1));
    how.addAll(sentences("where", chance(35) ? 1 : 0));
    how.addAll(sentences("measure", observes() ? 1 : 0));
    List<String> found = new ArrayList<>(sentences("main", 1));
    found.addAll(sentences("moderate", chance(30) ? 2 : 1));
    found.addAll(sentences("detail", chance(45) ? 1 : 0));
    List<String> so = sentences("close", chance(20) ? 2 : 1);
    return spelled(laidOut(why, what, how, found, so));
  }

  private String laidOut(
      List<String> why, List<String> what, List<String> how, List<String> found, List<String> so) {
    List<String> begin = both(why, what);
    int layout = random.nextInt(10);
    if (layout == 0) {
      return "1. %s 2. %s 3. %s 4. %s"
          .formatted(joined(begin), joined(how), joined(found), joined(so));
    }
    if (layout == 1) {
      return "Background: %s Methods: %s Results: %s Conclusions: %s"
          .formatted(joined(begin), joined(how), joined(found), joined(so));
    }
    return joined(both(both(begin, how), both(found, so)));
  }

  private boolean observes() {
    return switch (study.genre()) {
      case TRIAL, SURVEY, LAB, TRACK -> chance(85);
      case TREND, GENE -> chance(40);
      default -> false;
    };
  }

  private String design() {
    return study.genre().name().toLowerCase(java.util.Locale.ROOT);
  }

  private static String joined(List<String> sentences) {
    return String.join(" ", sentences);
  }

  private static List<String> both(List<String> some, List<String> more) {
    return Stream.concat(some.stream(), more.stream()).toList();
  }

  /** Sentences under a name that were not said yet; fewer where there are no more. */
  String say(String name, int many) {
    return spelled(joined(sentences(name, many)));
  }

  /** The name under which it says how the study was made. */
  String designName() {
    return "design." + design();
  }

  private List<String> sentences(String name, int many) {
    List<String> said = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      List<Template> left =
          SENTENCES.suiting(name, circumstances).stream().filter(t -> !used.contains(t)).toList();
      if (left.isEmpty()) {
        return said;
      }
      Template template = Studies.pick(random, left);
      used.add(template);
      said.add(Template.capital(template.write(random, slots::inText)));
    }
    return said;
  }

  private boolean chance(int percent) {
    return random.nextInt(100) < percent;
  }

  private String spelled(String text) {
    Function<String, String> spelling =
        study.place().american() ? Spelling::american : Function.identity();
    return spelling.apply(text);
  }
}
