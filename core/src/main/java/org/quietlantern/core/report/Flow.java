package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.quietlantern.core.review.Fate;
import org.quietlantern.core.review.Fate.End;

/**
 * What became of what came in, from its sources to what is kept with its text, in the order of the
 * PRISMA 2020 flow diagram (Page and others, BMJ 2021;372:n71, figure 1). Every number counts works
 * out of one list, each of which has one fate: so numbers add up, and each leads to its works.
 *
 * @param boxes from above; a box of the side stands beside the one of the middle before it
 */
public record Flow(List<FlowStep> boxes) {
  private static final String NO_REASON = "no reason given";

  public Flow {
    boxes = List.copyOf(boxes);
  }

  /**
   * A work that came in.
   *
   * @param id row number
   * @param sources keys of those that supply it
   * @param readable whether its text can be read
   */
  public record Work(int id, Set<String> sources, Fate fate, boolean readable) {
    public Work {
      sources = Set.copyOf(sources);
    }

    private boolean is(End end) {
      return fate.end() == end;
    }

    /** Nobody supplies it any more: it counts as one record all the same. */
    private int records() {
      return Math.max(1, sources.size());
    }
  }

  /**
   * A number with what it is made of.
   *
   * @param key by which its works are asked for
   * @param side what goes out of the flow there
   * @param parts together as many
   */
  public record FlowStep(String key, String label, int n, boolean side, List<FlowPart> parts) {
    public FlowStep {
      parts = List.copyOf(parts);
    }
  }

  /** A part of a number. */
  public record FlowPart(String key, String label, int n) {}

  /** {@code names}: of sources, by key, in their order. */
  public static Flow of(List<Work> works, Map<String, String> names) {
    int records = works.stream().mapToInt(Work::records).sum();
    int came = works.size();
    List<FlowStep> boxes = new ArrayList<>();
    boxes.add(new FlowStep("found", "Records found", records, false, bySource(works, names)));
    boxes.add(
        new FlowStep("joined", "Other records of the same works", records - came, true, List.of()));
    boxes.add(box("came", "Works that came in", works, false));
    boxes.add(box("nobody", "Not looked at yet", works, true));
    boxes.add(box("reviewed", "Works reviewed", works, false));
    boxes.add(
        new FlowStep("passed", "Passed", count("passed", works), true, byReason(works, "passed")));
    boxes.add(new FlowStep("open", "Not decided", count("open", works), true, open(works)));
    boxes.add(box("kept", "Works kept", works, false));
    boxes.add(box("unread", "Text not at hand", works, true));
    boxes.add(box("text", "Kept, and the text is at hand", works, false));
    return new Flow(boxes);
  }

  private static FlowStep box(String key, String label, List<Work> works, boolean side) {
    return new FlowStep(key, label, count(key, works), side, List.of());
  }

  private static int count(String key, List<Work> works) {
    return (int) works.stream().filter(counts(key)).count();
  }

  private static List<FlowPart> bySource(List<Work> works, Map<String, String> names) {
    Map<String, Integer> all = new LinkedHashMap<>();
    names.keySet().forEach(key -> all.put(key, 0));
    for (Work work : works) {
      work.sources().forEach(key -> all.merge(key, 1, Integer::sum));
      if (work.sources().isEmpty()) {
        all.merge("", 1, Integer::sum);
      }
    }
    return all.entrySet().stream()
        .filter(one -> one.getValue() > 0)
        .map(
            one ->
                new FlowPart(
                    "source:" + one.getKey(),
                    names.getOrDefault(
                        one.getKey(),
                        one.getKey().isEmpty() ? "no source any more" : "another source"),
                    one.getValue()))
        .toList();
  }

  /** What most are passed for first. */
  private static List<FlowPart> byReason(List<Work> works, String key) {
    Map<String, Integer> all = new LinkedHashMap<>();
    works.stream()
        .filter(counts(key))
        .forEach(work -> all.merge(work.fate().why(), 1, Integer::sum));
    return all.entrySet().stream()
        .sorted(
            Comparator.<Map.Entry<String, Integer>>comparingInt(one -> -one.getValue())
                .thenComparing(Map.Entry::getKey))
        .map(
            one ->
                new FlowPart(
                    key + ":" + one.getKey(),
                    one.getKey().isEmpty() ? NO_REASON : one.getKey(),
                    one.getValue()))
        .toList();
  }

  private static List<FlowPart> open(List<Work> works) {
    List<FlowPart> parts =
        new ArrayList<>(byReason(works.stream().filter(w -> w.is(End.OPEN)).toList(), "open"));
    int seen = count("seen", works);
    if (seen > 0) {
      parts.add(new FlowPart("seen", "seen, nothing said", seen));
    }
    return parts;
  }

  /**
   * Which works a number counts.
   *
   * @param key of a box or a part; one that is not known counts nothing
   */
  public static Predicate<Work> counts(String key) {
    int colon = key.indexOf(':');
    String of = colon < 0 ? key : key.substring(0, colon);
    String value = key.substring(colon + 1);
    return switch (of) {
      case "found", "came" -> work -> true;
      case "source" ->
          work -> value.isEmpty() ? work.sources().isEmpty() : work.sources().contains(value);
      case "joined" -> work -> work.sources().size() > 1;
      case "nobody" -> work -> work.is(End.NOBODY);
      case "reviewed" -> work -> !work.is(End.NOBODY);
      case "passed" ->
          work -> work.is(End.PASSED) && (colon < 0 || work.fate().why().equals(value));
      case "open" ->
          work ->
              colon < 0
                  ? work.is(End.OPEN) || work.is(End.SEEN)
                  : work.is(End.OPEN) && work.fate().why().equals(value);
      case "seen" -> work -> work.is(End.SEEN);
      case "kept" -> work -> work.is(End.KEPT);
      case "unread" -> work -> work.is(End.KEPT) && !work.readable();
      case "text" -> work -> work.is(End.KEPT) && work.readable();
      default -> work -> false;
    };
  }
}
