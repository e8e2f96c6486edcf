package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.quietlantern.standins.words.Lexicon;
import org.quietlantern.standins.words.Table;

/**
 * Small trees of what works studied and how: kinds of study, taxa, regions, life stages, sexes. In
 * SKOS, each a scheme of its own; records name what is in them by its label.
 */
public final class Facets {
  /** A tree: labels with the label above each, empty at the top. */
  private record Tree(String key, String name, Map<String, String> broader) {}

  private Facets() {}

  /** Turtle 1.1. */
  public static String turtle() {
    StringBuilder turtle =
        new StringBuilder(
            """
            @prefix skos: <http://www.w3.org/2004/02/skos/core#> .
            @prefix dct: <http://purl.org/dc/terms/> .
            """);
    for (Tree tree : trees()) {
      String scheme = "urn:quietlantern:" + tree.key();
      turtle.append(
          "\n<%s> a skos:ConceptScheme ; dct:title \"%s\"@en .\n".formatted(scheme, tree.name()));
      tree.broader().forEach((label, above) -> concept(turtle, tree, scheme, label, above));
    }
    return turtle.toString();
  }

  private static void concept(
      StringBuilder turtle, Tree tree, String scheme, String label, String above) {
    turtle.append(
        "<%s> a skos:Concept ; skos:inScheme <%s> ; ".formatted(uri(tree, label), scheme));
    turtle.append(
        above.isEmpty()
            ? "skos:topConceptOf <%s> ; ".formatted(scheme)
            : "skos:broader <%s> ; ".formatted(uri(tree, above)));
    turtle.append("skos:prefLabel \"%s\"@en .\n".formatted(label));
  }

  private static String uri(Tree tree, String label) {
    String name = label.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
    return "urn:quietlantern:%s:%s".formatted(tree.key(), name);
  }

  private static List<Tree> trees() {
    List<Tree> trees = new ArrayList<>();
    String above = "";
    for (String line : Table.lines("facets.txt")) {
      if (line.startsWith("== ")) {
        String[] named = line.substring(3).split(" \\| ");
        trees.add(new Tree(named[0], named[1], new LinkedHashMap<>()));
        above = "";
      } else {
        boolean below = line.startsWith(" ");
        above = below ? above : line.strip();
        trees.get(trees.size() - 1).broader().put(line.strip(), below ? above : "");
      }
    }
    trees.add(new Tree("taxon", "Taxa", taxa()));
    trees.add(new Tree("region", "Regions", regions()));
    return trees;
  }

  /** The organisms among the headings, each under the first one above it. */
  private static Map<String, String> taxa() {
    Map<String, String> broader = new LinkedHashMap<>();
    Headings.ALL.values().stream()
        .filter(heading -> heading.branch().equals("Organisms"))
        .forEach(
            heading ->
                broader.put(
                    heading.label(), heading.broader().isEmpty() ? "" : heading.broader().get(0)));
    return broader;
  }

  private static Map<String, String> regions() {
    Map<String, String> broader = new LinkedHashMap<>();
    for (Lexicon.Place place : Lexicon.PLACES) {
      broader.putIfAbsent(place.continent(), "");
      broader.putIfAbsent(place.country(), place.continent());
      broader.putIfAbsent(place.name(), place.country());
    }
    return broader;
  }
}
