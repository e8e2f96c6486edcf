package org.quietlantern.standins.words;

import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** The words of the field, from the tables. */
public final class Lexicon {
  /**
   * An animal or plant; {@code later} is what it is called when it has been named before, {@code
   * where} the continent that it lives on, empty for what lives on most.
   */
  public record Taxon(
      Set<String> kinds,
      String plural,
      String singular,
      String formal,
      String heading,
      String later,
      String where) {}

  /** A way of lighting; {@code spares}: of lighting less; {@code there}: no study puts it up. */
  public record Light(
      boolean spares,
      boolean there,
      String formal,
      String lamps,
      String spelledOut,
      String shortly,
      String heading,
      String keyword) {}

  /**
   * What is measured; {@code better} is 1 where more of it is good, -1 where bad, else 0; {@code
   * way} is the sort of method that it takes.
   */
  public record Response(
      String name, String otherwise, String heading, int better, Set<String> kinds, String way) {
    /** Whether it is a moment, early or late, rather than an amount. */
    public boolean isTiming() {
      return heading.startsWith("Phenology")
          || (heading.equals("Roosting") && way.equals("behave"));
    }

    /** In what it is early or late. */
    public String unit() {
      return way.equals("breed") || way.equals("leaf") ? "days" : "minutes";
    }
  }

  /** Where: plural, and the prepositions in front of it. */
  public record Habitat(
      String name, Set<String> kinds, String heading, List<String> prepositions) {}

  /** A real region. */
  public record Place(String name, String country, String continent, boolean american) {}

  /** What else may matter. */
  public record Moderator(String name, Set<String> kinds) {}

  /** How it is measured: plural; {@code ways} are the sorts of thing that it measures. */
  public record Method(String name, Set<String> kinds, String heading, Set<String> ways) {}

  public static final List<Taxon> TAXA =
      Table.rows("taxa.txt").stream()
          .map(
              r ->
                  new Taxon(
                      r.words(0), r.text(1), r.text(2), r.text(3), r.text(4), r.text(5), r.text(6)))
          .toList();

  public static final List<Light> LIGHTS =
      Table.rows("lights.txt").stream()
          .map(
              r ->
                  new Light(
                      r.words(0).contains("spares"),
                      r.words(0).contains("there"),
                      r.text(1),
                      r.text(2),
                      r.text(3),
                      r.text(4),
                      r.text(5),
                      r.text(6)))
          .toList();

  public static final List<Response> RESPONSES =
      Table.rows("responses.txt").stream()
          .map(
              r ->
                  new Response(
                      r.text(0), r.text(1), r.text(2), better(r.text(3)), r.words(4), r.text(5)))
          .toList();

  public static final List<Habitat> HABITATS =
      Table.rows("habitats.txt").stream()
          .map(r -> new Habitat(r.text(0), r.words(1), r.text(2), List.of(r.text(3).split(" "))))
          .toList();

  public static final List<Place> PLACES =
      Table.rows("places.txt").stream()
          .map(r -> new Place(r.text(0), r.text(1), r.text(2), r.text(3).equals("american")))
          .toList();

  public static final List<Moderator> MODERATORS =
      Table.rows("moderators.txt").stream().map(r -> new Moderator(r.text(0), r.words(1))).toList();

  public static final List<Method> METHODS =
      Table.rows("methods.txt").stream()
          .map(r -> new Method(r.text(0), r.words(1), r.text(2), r.words(3)))
          .toList();

  // Asked for with every study that is drawn.
  private static final Map<Taxon, List<Response>> RESPONSES_OF = ofEach(RESPONSES, Response::kinds);
  private static final Map<Taxon, List<Moderator>> MODERATORS_OF =
      ofEach(MODERATORS, Moderator::kinds);
  private static final Map<Taxon, List<Method>> METHODS_OF = ofEach(METHODS, Method::kinds);
  private static final Map<String, List<Place>> PLACES_ON =
      PLACES.stream().collect(Collectors.groupingBy(Place::continent));

  private Lexicon() {}

  private static <T> Map<Taxon, List<T>> ofEach(List<T> all, Function<T, Set<String>> kinds) {
    return TAXA.stream()
        .collect(
            Collectors.toUnmodifiableMap(
                taxon -> taxon,
                taxon -> all.stream().filter(t -> shares(kinds.apply(t), taxon.kinds())).toList()));
  }

  private static int better(String word) {
    return switch (word) {
      case "good" -> 1;
      case "bad" -> -1;
      default -> 0;
    };
  }

  /** Whether something for some kinds is for a taxon of these. */
  static boolean shares(Set<String> some, Set<String> kinds) {
    return some.contains("any") || !Collections.disjoint(some, kinds);
  }

  public static List<Response> responsesOf(Taxon taxon) {
    return RESPONSES_OF.get(taxon);
  }

  public static List<Moderator> moderatorsOf(Taxon taxon) {
    return MODERATORS_OF.get(taxon);
  }

  /** By which something of a taxon is measured in some way. */
  public static List<Method> methodsOf(Taxon taxon, String way) {
    return METHODS_OF.get(taxon).stream().filter(m -> m.ways().contains(way)).toList();
  }

  /** Where it can be studied outdoors. */
  public static List<Place> placesOf(Taxon taxon) {
    return taxon.where().isEmpty() ? PLACES : PLACES_ON.get(taxon.where());
  }

  /** Land animals are not studied in rivers, nor fish in orchards. */
  public static List<Habitat> habitatsOf(Taxon taxon) {
    Set<String> kinds = taxon.kinds();
    String needs =
        kinds.contains("coast")
            ? "coast"
            : kinds.contains("wet") ? "wet" : kinds.contains("water") ? "water" : "any";
    return HABITATS.stream().filter(h -> h.kinds().contains(needs)).toList();
  }
}
