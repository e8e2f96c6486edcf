package org.quietlantern.core.query;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Strategies drawn at random, with everything that a sheet can hold. */
final class RandomSheets {
  private final Random random;

  RandomSheets(Random random) {
    this.random = random;
  }

  /** Another one. */
  Strategy next() {
    List<Line> lines = new ArrayList<>();
    for (int i = random.nextInt(4); i >= 0; i--) {
      Set<Widening> widened =
          random.nextInt(3) > 0
              ? Set.of()
              : Stream.of(Widening.values())
                  .filter(widening -> random.nextBoolean())
                  .collect(Collectors.toSet());
      String not = random.nextInt(5) == 0 ? "not " : "";
      lines.add(new Line.Words("w" + i, not + joined(2), random.nextInt(6) == 0, widened));
    }
    if (random.nextInt(2) == 0) {
      lines.add(new Line.Limited("l", limit(), false));
    }
    if (random.nextInt(4) == 0) {
      boolean out = random.nextBoolean();
      lines.add(new Line.Held("h", List.of("s:0123456789:2", "q:abcdefghjk"), out, false));
    }
    return new Strategy(lines);
  }

  private Limit limit() {
    return switch (random.nextInt(6)) {
      case 0 -> Limit.any(Property.KIND, "conference paper", Limit.UNKNOWN);
      case 1 -> Limit.range(Property.DATE, Range.between("2016", ""));
      case 2 -> Limit.range(Property.DATE, Range.lastYears(5));
      case 3 ->
          new Limit(Property.TAXON, List.of("bats", "a \"b\" \\ c"), true, List.of(), Range.NONE);
      case 4 -> Limit.without(Property.LANGUAGE, "de", "fr");
      default ->
          new Limit(
              Property.PAGES, List.of(Limit.UNKNOWN), false, List.of(), Range.between("3", "20"));
    };
  }

  private String joined(int depth) {
    String text = unit(depth);
    for (int i = random.nextInt(3); i > 0; i--) {
      text += one(" ", " and ", " or ", " not ") + unit(depth);
    }
    return text;
  }

  private String unit(int depth) {
    return switch (random.nextInt(depth > 0 ? 7 : 5)) {
      case 0 -> "\"part-night ligh*\"";
      case 1 -> one("light*", "wom?n", "colo?r*", "what\\?");
      case 2 -> one("\"and\"", "\"dim\"", "2016-2020", "café", "O’Hara");
      case 5 -> "(" + joined(depth - 1) + ")";
      case 6 -> one("title: ", "title,keyword: ", "author: ") + "(" + joined(depth - 1) + ")";
      default -> one("moth", "bat", "verge", "title: lamp");
    };
  }

  private String one(String... of) {
    return of[random.nextInt(of.length)];
  }
}
