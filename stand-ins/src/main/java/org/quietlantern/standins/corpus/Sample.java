package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.Map;

/** Shows works and measures how alike their abstracts are: {@code Sample MANY SHOWN}. */
public final class Sample {
  private Sample() {}

  public static void main(String[] arguments) {
    int many = Integer.parseInt(arguments[0]);
    int shown = Integer.parseInt(arguments[1]);
    Works works = new Works(1887);
    java.util.List<String> texts = new java.util.ArrayList<>();
    for (int i = 0; i < many; i++) {
      Work work = works.next(LocalDate.of(1994 + 32 * i / many, 1 + i % 12, 1 + i % 28));
      texts.add(work.abstractText());
      if (i % (many / shown) == 7) {
        System.out.println(
            "\n["
                + work.kind()
                + "] "
                + work.title()
                + work.original().map(o -> " = " + o).orElse(""));
        System.out.println(
            work.authors().stream().limit(5).map(a -> a.given() + " " + a.family()).toList()
                + " "
                + work.journal().map(Journal::title).orElse(work.container())
                + " "
                + work.date()
                + " "
                + work.volume()
                + ":"
                + work.firstPage()
                + " refs "
                + work.references().map(java.util.List::size));
        System.out.println(work.abstractText());
        System.out.println(
            work.keywords() + " " + work.topics().stream().map(Topic::label).toList());
      }
    }
    Map<String, Integer> runs = Alike.runs(texts);
    System.out.printf(
        "%nshared 6-word runs: %.1f %% of occurrences, %.1f %% of runs%n",
        100 * Alike.share(texts),
        100.0 * runs.values().stream().filter(n -> n > 1).count() / runs.size());
    runs.entrySet().stream()
        .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
        .limit(60)
        .forEach(e -> System.out.println(e.getValue() + " " + e.getKey()));
  }
}
