package org.quietlantern.standins.corpus;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** The figures of one work, drawn once so that they agree with each other. */
final class Figures {
  private static final String[] SMALL = {
    "zero",
    "one",
    "two",
    "three",
    "four",
    "five",
    "six",
    "seven",
    "eight",
    "nine",
    "ten",
    "eleven",
    "twelve",
    "thirteen",
    "fourteen",
    "fifteen",
    "sixteen",
    "seventeen",
    "eighteen",
    "nineteen"
  };
  private static final String[] TENS = {
    "", "", "twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"
  };

  private Figures() {}

  static Map<String, String> of(Study study, int year, Random random) {
    Map<String, String> all = new HashMap<>();
    effect(all, study, random);
    sizes(all, random);
    int years = 2 + random.nextInt(7);
    int last = year - 1 - random.nextInt(2);
    all.put("nyears", words(years));
    all.put("y2", Integer.toString(last));
    all.put("y0", Integer.toString(last - 7 - random.nextInt(16)));
    all.put("y1", Integer.toString(last - years + 1));
    return all;
  }

  private static void effect(Map<String, String> all, Study study, Random random) {
    int size = Math.abs(study.change());
    int low = Math.max(1, size - 2 - random.nextInt(1 + size / 2));
    double from = 2 + random.nextInt(80) / 10.0;
    all.put("pct", Integer.toString(size));
    all.put("lo", Integer.toString(size == 0 ? 3 + random.nextInt(9) : low));
    all.put("hi", Integer.toString(size + 3 + random.nextInt(14)));
    all.put("change", "%+d".formatted(random.nextInt(7) - 3).replace("-", "−"));
    all.put("sign", study.change() < 0 ? "−" : "+");
    all.put("sign2", study.change() < 0 ? "+" : "−");
    all.put("from", figure(from));
    all.put("to", figure(from * (100 + study.change()) / 100));
    all.put("p", small(random));
    all.put("p2", "P = 0." + (11 + random.nextInt(80)));
  }

  private static String small(Random random) {
    String p =
        random.nextInt(3) == 0
            ? "P < 0.001"
            : "P = 0.0" + (1 + random.nextInt(4)) + random.nextInt(10);
    return switch (random.nextInt(4)) {
      case 0 -> "F = " + figure(4 + random.nextInt(300) / 10.0) + ", " + p;
      case 1 -> "z = " + figure(2 + random.nextInt(50) / 10.0) + ", " + p;
      case 2 -> "χ² = " + figure(4 + random.nextInt(400) / 10.0) + ", " + p;
      default -> p;
    };
  }

  private static void sizes(Map<String, String> all, Random random) {
    int sites = 8 + random.nextInt(80);
    int others = Math.max(6, sites - 6 + random.nextInt(12));
    all.put("n", Integer.toString(sites));
    all.put("N", org.quietlantern.standins.words.Template.capital(words(sites)));
    all.put("m", Integer.toString(others));
    all.put("nights", Integer.toString(12 + random.nextInt(190)));
    all.put(
        "count",
        String.format(
            Locale.ROOT, "%,d", 120 + random.nextInt(random.nextInt(3) == 0 ? 90_000 : 6_000)));
    int near = 10 + random.nextInt(140);
    all.put("dist", Integer.toString(near));
    all.put("dist2", Integer.toString(near + 20 + random.nextInt(180)));
  }

  private static String figure(double value) {
    return String.format(Locale.ROOT, "%.1f", value);
  }

  /** In words, below a hundred. */
  static String words(int number) {
    if (number < 20) {
      return SMALL[number];
    }
    String tens = TENS[number / 10];
    return number % 10 == 0 ? tens : tens + "-" + SMALL[number % 10];
  }
}
