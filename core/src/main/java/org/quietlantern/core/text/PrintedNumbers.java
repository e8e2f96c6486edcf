package org.quietlantern.core.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * The numbers that are printed on pages: what a citation names, whatever the file counts. Taken
 * from the edges of the first and the last line, if enough pages agree on how they go on.
 */
final class PrintedNumbers {
  private static final double ENOUGH = 0.6;
  private static final int FEWEST = 2;
  private static final Pattern AT_AN_EDGE =
      Pattern.compile("^(\\d{1,5})(?=\\s|$)|(?<=\\s|^)(\\d{1,5})$");
  private static final Pattern ROMAN = Pattern.compile("[ivxl]{1,7}");

  private PrintedNumbers() {}

  /** One for each page; empty where the pages do not agree. */
  static Optional<List<String>> of(List<String> pages) {
    Map<Integer, Integer> votes = new HashMap<>();
    for (int at = 0; at < pages.size(); at++) {
      for (int number : numbers(pages.get(at))) {
        votes.merge(number - at, 1, Integer::sum);
      }
    }
    return votes.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .filter(best -> best.getValue() >= FEWEST && best.getValue() >= ENOUGH * pages.size())
        .map(Map.Entry::getKey)
        .map(
            first ->
                IntStream.range(0, pages.size())
                    .mapToObj(at -> label(pages.get(at), at, at + first))
                    .toList());
  }

  /** Pages in front of the first number have Roman ones, or none. */
  private static String label(String page, int at, int number) {
    if (number >= 1) {
      return Integer.toString(number);
    }
    String last = edges(page).get(1);
    return ROMAN.matcher(last).matches() ? last : "[" + (at + 1) + "]";
  }

  private static List<Integer> numbers(String page) {
    List<Integer> numbers = new ArrayList<>();
    for (String line : edges(page)) {
      Matcher edge = AT_AN_EDGE.matcher(line);
      while (edge.find()) {
        int number = Integer.parseInt(edge.group());
        if (!numbers.contains(number)) {
          numbers.add(number);
        }
      }
    }
    return numbers;
  }

  /** Its first line and its last one. */
  private static List<String> edges(String page) {
    String text = page.strip();
    int first = text.indexOf('\n');
    int last = text.lastIndexOf('\n');
    return List.of(
        (first < 0 ? text : text.substring(0, first)).strip(),
        (last < 0 ? text : text.substring(last + 1)).strip());
  }
}
