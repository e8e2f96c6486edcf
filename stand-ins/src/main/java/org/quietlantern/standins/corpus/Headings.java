package org.quietlantern.standins.corpus;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.quietlantern.standins.words.Table;

/** The vocabulary of the made-up literature. */
public final class Headings {
  /** One of it: {@code broader} are one or two, none at the top. */
  public record Heading(
      String label,
      List<String> otherNames,
      String scopeNote,
      List<String> broader,
      List<String> related,
      String branch) {
    public String uri() {
      return Headings.uri(label);
    }
  }

  /** By label, in the order of the tree. */
  public static final Map<String, Heading> ALL = read();

  /** The respects in which a work may be about a heading, each with its meaning. */
  public static final Map<String, String> ASPECTS = aspects();

  private Headings() {}

  private static Map<String, Heading> read() {
    Map<String, Heading> all = new LinkedHashMap<>();
    Deque<String> path = new ArrayDeque<>();
    for (String line : Table.lines("headings.txt")) {
      int depth = (line.length() - line.stripLeading().length()) / 2;
      Table.Row row =
          new Table.Row(java.util.Arrays.stream(line.split("\\|", -1)).map(String::strip).toList());
      while (path.size() > depth) {
        path.pop();
      }
      List<String> broader = new ArrayList<>(path.isEmpty() ? List.of() : List.of(path.peek()));
      broader.addAll(marked(row, "also under:"));
      String branch = path.isEmpty() ? row.text(0) : path.peekLast();
      all.put(
          row.text(0),
          new Heading(
              row.text(0), row.list(1), row.text(2), broader, marked(row, "related:"), branch));
      path.push(row.text(0));
    }
    return all;
  }

  private static Map<String, String> aspects() {
    Map<String, String> aspects = new LinkedHashMap<>();
    aspects.put("effects of light on", "What light does to it, whether wanted or not.");
    aspects.put("behaviour of", "What it does by itself, apart from any effect of light.");
    aspects.put("conservation of", "How it is protected, restored or spared.");
    aspects.put("methods for", "How it is recorded, counted or measured.");
    aspects.put("planning and control of", "How it is decided on, paid for and regulated.");
    return aspects;
  }

  private static List<String> marked(Table.Row row, String mark) {
    return row.cells().stream()
        .filter(cell -> cell.startsWith(mark))
        .flatMap(cell -> java.util.Arrays.stream(cell.substring(mark.length()).split(";")))
        .map(String::strip)
        .toList();
  }

  static String uri(String label) {
    return "urn:quietlantern:heading:"
        + label.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
  }
}
