package org.quietlantern.bench;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.citation.csl.Citation;
import org.quietlantern.core.citation.csl.Cite;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.LocaleData;
import org.quietlantern.core.citation.csl.LocaleReader;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.csl.Style;
import org.quietlantern.core.citation.csl.StyleReader;
import org.quietlantern.core.citation.csl.Typeset;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs a folder of cases for citation styles, and says which come out as they should: {@code
 * --suite DIR}, and a pattern of names, whose wrong ones are then shown.
 */
public final class CitationBench {
  private static final JsonMapper JSON = JsonMapper.builder().build();
  private static final Pattern SECTION =
      Pattern.compile("(?s)>>=+ ([A-Z-]+) =+>>\\n(.*?)\\n?<<=+ \\1 =+<<");

  /** What the suite has where a style prints nothing of a work. */
  private static final String NOTHING = "[CSL STYLE ERROR: reference with no printed form.]";

  private static final Map<String, Optional<LocaleData>> LOCALES = new ConcurrentHashMap<>();

  private CitationBench() {}

  /** What became of a case; {@code got} is empty where it is left out. */
  private record Outcome(String name, String group, String state, String wanted, String got) {}

  public static void main(String[] arguments) throws IOException {
    if (arguments.length == 0) {
      CitationSpeed.measure();
      return;
    }
    if (arguments[0].equals("--styles")) {
      EveryStyle.measure();
      return;
    }
    if (arguments.length < 2 || !arguments[0].equals("--suite")) {
      System.err.println("./lantern bench citations [--styles | --suite DIR [PATTERN]]");
      System.exit(2);
    }
    Path suite = Path.of(arguments[1]);
    String only = arguments.length > 2 ? arguments[2] : "";
    List<Outcome> outcomes = new ArrayList<>();
    Path cases = Files.isDirectory(suite.resolve("cases")) ? suite.resolve("cases") : suite;
    try (Stream<Path> files = Files.list(cases)) {
      for (Path file : files.filter(one -> one.toString().endsWith(".txt")).sorted().toList()) {
        String name = file.getFileName().toString().replace(".txt", "");
        if (only.isEmpty() || name.matches(only)) {
          outcomes.add(run(name, Files.readString(file)));
        }
      }
    }
    print(outcomes, !only.isEmpty());
  }

  private static Outcome run(String name, String text) {
    Map<String, String> sections = new LinkedHashMap<>();
    Matcher section = SECTION.matcher(text.replace("\r", ""));
    while (section.find()) {
      sections.put(section.group(1), section.group(2));
    }
    String group = name.replaceFirst("_.*", "");
    Optional<String> left = LeftOut.reason(name, sections);
    if (left.isPresent()) {
      return new Outcome(name, group, "left out: " + left.get(), "", "");
    }
    String wanted = sections.get("RESULT").strip();
    try {
      String got = got(sections).strip();
      return new Outcome(name, group, got.equals(wanted) ? "right" : "wrong", wanted, got);
    } catch (StyleReader.Unreadable | RuntimeException failed) {
      return new Outcome(
          name,
          group,
          "failed",
          wanted,
          failed.toString() + " " + List.of(failed.getStackTrace()).stream().limit(3).toList());
    }
  }

  private static String got(Map<String, String> sections) throws StyleReader.Unreadable {
    Style style = StyleReader.read(sections.get("CSL").strip());
    List<Item> items = CslJson.items(JSON.readTree(sections.get("INPUT")));
    Processor processor = new Processor(style, "", CitationBench::locale).withEveryMark();
    String mode = sections.get("MODE").strip();
    if (sections.containsKey("CITATIONS")) {
      return session(processor, items, JSON.readTree(sections.get("CITATIONS")), mode);
    }
    List<Citation> citations = new ArrayList<>();
    if (sections.containsKey("CITATION-ITEMS")) {
      for (JsonNode one : JSON.readTree(sections.get("CITATION-ITEMS"))) {
        citations.add(new Citation(one.valueStream().map(CslJson::cite).toList(), 0));
      }
    } else {
      citations.add(
          new Citation(items.stream().map(Item::id).distinct().map(Cite::of).toList(), 0));
    }
    processor.setItems(items);
    return mode.startsWith("bibliography")
        ? bibliography(processor)
        : processor.citations(citations).stream()
            .map(Typeset::html)
            .map(one -> one.isEmpty() ? NOTHING : one)
            .collect(Collectors.joining("\n"));
  }

  private static String bibliography(Processor processor) {
    return processor.bibliography().stream()
        .map(
            entry ->
                "  <div class=\"csl-entry\">"
                    + spaced(entry.text().isEmpty() ? NOTHING : entry.text().html())
                    + "</div>")
        .collect(Collectors.joining("\n", "<div class=\"csl-bib-body\">\n", "\n</div>"));
  }

  /** As the suite sets blocks off. */
  private static String spaced(String html) {
    return html.replaceAll(
            "<div class=\"csl-block\">(.*?)</div>", "\n\n    <div class=\"csl-block\">$1</div>\n")
        .replaceAll("<div class=\"csl-left-margin\">", "\n    $0")
        .replaceAll("<div class=\"csl-(?:right-inline|indent)\">.*?</div>", "$0\n  ");
  }

  private static String session(Processor processor, List<Item> items, JsonNode acts, String mode) {
    List<String> before = new ArrayList<>();
    List<String> lines = new ArrayList<>();
    Map<String, JsonNode> known = new LinkedHashMap<>();
    List<String> orderBefore = List.of();
    for (JsonNode act : acts) {
      String id =
          act.get(0).has("citationID")
              ? act.get(0).get("citationID").asString()
              : "c" + known.size();
      known.put(id, act.get(0));
      List<String> order = new ArrayList<>();
      List<Citation> all = new ArrayList<>();
      for (JsonNode one : act.get(1)) {
        order.add(one.get(0).asString());
        all.add(citation(known.get(one.get(0).asString()), one.get(1).asInt()));
      }
      order.add(id);
      JsonNode note = act.get(0).at("/properties/noteIndex");
      all.add(citation(act.get(0), note.isMissingNode() ? 0 : note.asInt()));
      for (JsonNode one : act.get(2)) {
        order.add(one.get(0).asString());
        all.add(citation(known.get(one.get(0).asString()), one.get(1).asInt()));
      }
      processor.setItems(
          all.stream()
              .flatMap(one -> one.cites().stream())
              .map(cite -> items.stream().filter(item -> item.id().equals(cite.item())).findFirst())
              .flatMap(Optional::stream)
              .toList());
      List<String> now = processor.citations(all).stream().map(Typeset::html).toList();
      lines.clear();
      for (int i = 0; i < now.size(); i++) {
        int was = orderBefore.indexOf(order.get(i));
        boolean changed = was < 0 || !before.get(was).equals(now.get(i)) || order.get(i).equals(id);
        lines.add((changed ? ">>" : "..") + "[" + i + "] " + now.get(i));
      }
      before = now;
      orderBefore = order;
    }
    return mode.startsWith("bibliography") ? bibliography(processor) : String.join("\n", lines);
  }

  private static Citation citation(JsonNode from, int note) {
    return new Citation(from.get("citationItems").valueStream().map(CslJson::cite).toList(), note);
  }

  private static Optional<LocaleData> locale(String language) {
    return LOCALES.computeIfAbsent(
        language,
        one -> {
          try (InputStream file =
              CitationBench.class.getResourceAsStream("/locales-" + one + ".xml")) {
            return file == null
                ? Optional.empty()
                : Optional.of(
                    LocaleReader.read(new String(file.readAllBytes(), StandardCharsets.UTF_8)));
          } catch (IOException | StyleReader.Unreadable broken) {
            throw new IllegalStateException(broken);
          }
        });
  }

  private static void print(List<Outcome> outcomes, boolean each) {
    if (each) {
      for (Outcome one : outcomes) {
        if (!one.state().equals("right")) {
          System.out.printf(
              "%s: %s%n  wanted %s%n  got    %s%n",
              one.name(), one.state(), one.wanted(), one.got());
        }
      }
    }
    Map<String, Map<String, Long>> groups =
        outcomes.stream()
            .collect(
                Collectors.groupingBy(
                    Outcome::group,
                    TreeMap::new,
                    Collectors.groupingBy(
                        one -> one.state().replaceFirst(":.*", ""), Collectors.counting())));
    System.out.println("| group | right | wrong | failed | left out |");
    System.out.println("|---|---|---|---|---|");
    groups.forEach(
        (group, states) ->
            System.out.printf(
                "| %s | %d | %d | %d | %d |%n",
                group,
                states.getOrDefault("right", 0L),
                states.getOrDefault("wrong", 0L),
                states.getOrDefault("failed", 0L),
                states.getOrDefault("left out", 0L)));
    long right = outcomes.stream().filter(one -> one.state().equals("right")).count();
    long left = outcomes.stream().filter(one -> one.state().startsWith("left out")).count();
    outcomes.stream()
        .filter(one -> one.state().startsWith("left out"))
        .collect(Collectors.groupingBy(Outcome::state, TreeMap::new, Collectors.toList()))
        .forEach(
            (state, some) ->
                System.out.printf(
                    "- %s: %s%n",
                    state, some.stream().map(Outcome::name).collect(Collectors.joining(", "))));
    System.out.printf(
        "%d of %d right (%.1f %%), %d left out%n",
        right, outcomes.size() - left, 100.0 * right / (outcomes.size() - left), left);
  }
}
