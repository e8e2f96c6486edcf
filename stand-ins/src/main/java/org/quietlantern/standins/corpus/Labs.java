package org.quietlantern.standins.corpus;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.quietlantern.standins.words.Lexicon;
import org.quietlantern.standins.words.Table;

/** Who writes the made-up literature. */
final class Labs {
  static final int MANY = 180;
  static final List<Person> BODIES =
      Table.rows("bodies.txt").stream().map(r -> Person.body(r.text(0))).toList();
  private static final Map<String, List<String>> GIVEN = new HashMap<>();
  private static final Map<String, List<String>> FAMILY = new HashMap<>();

  static {
    for (Table.Row row : Table.rows("people.txt")) {
      GIVEN.put(row.text(0), Arrays.asList(row.text(1).split(" ")));
      FAMILY.put(
          row.text(0),
          Arrays.stream(row.text(2).split(" ")).map(n -> n.replace('·', ' ')).toList());
    }
  }

  private final Random random;
  private final Set<String> names = new HashSet<>();
  private int people;

  private Labs(long seed) {
    this.random = new Random(seed);
  }

  static List<Lab> of(long seed) {
    Labs labs = new Labs(seed);
    return Stream.generate(labs::lab).limit(MANY).toList();
  }

  private Lab lab() {
    Lexicon.Place place = Studies.pick(random, Lexicon.PLACES);
    List<Person> members = new ArrayList<>();
    int size = 3 + random.nextInt(9);
    while (members.size() < size) {
      person(at(place)).ifPresent(members::add);
    }
    Lexicon.Taxon taxon = Studies.pick(random, Lexicon.TAXA);
    return new Lab(
        place,
        members,
        Lexicon.TAXA.stream().filter(t -> alike(t, taxon)).toList(),
        Stream.generate(() -> Studies.pick(random, Lexicon.LIGHTS)).limit(4).toList());
  }

  private static boolean alike(Lexicon.Taxon one, Lexicon.Taxon other) {
    return one.heading().equals(other.heading())
        || one.kinds().equals(other.kinds())
        || one.kinds().iterator().next().equals(other.kinds().iterator().next());
  }

  private String at(Lexicon.Place place) {
    if (random.nextInt(5) == 0) {
      return Studies.pick(random, new ArrayList<>(new java.util.TreeSet<>(GIVEN.keySet())));
    }
    return switch (place.continent()) {
      case "Africa" -> "african";
      case "Asia" -> "asian";
      case "North America", "Australasia" -> random.nextBoolean() ? "british" : "oceanic";
      case "South America" -> random.nextInt(3) == 0 ? "oceanic" : "romance";
      default -> european(place.country());
    };
  }

  private static String european(String country) {
    return switch (country) {
      case "Norway", "Sweden", "Finland", "Denmark", "Estonia" -> "nordic";
      case "United Kingdom", "Ireland" -> "british";
      case "Germany", "Netherlands", "Austria", "Switzerland", "Belgium" -> "germanic";
      case "Czechia", "Poland", "Slovenia", "Croatia", "Latvia", "Hungary" -> "slavic";
      default -> "romance";
    };
  }

  private java.util.Optional<Person> person(String culture) {
    String given = Studies.pick(random, GIVEN.get(culture));
    if (random.nextInt(4) == 0) {
      given += " " + Studies.pick(random, GIVEN.get(culture)).charAt(0) + ".";
    }
    String family = Studies.pick(random, FAMILY.get(culture));
    if (!names.add(given + " " + family)) {
      return java.util.Optional.empty();
    }
    String orcid = random.nextInt(100) < 45 ? orcid(++people) : "";
    return java.util.Optional.of(new Person(given, family, orcid));
  }

  /** In a range that is not given out; the last character is a check (ISO 7064, MOD 11-2). */
  private static String orcid(int number) {
    String digits = "00000007%07d".formatted(number * 3L);
    int total = 0;
    for (int i = 0; i < digits.length(); i++) {
      total = (total + digits.charAt(i) - '0') * 2;
    }
    int check = (12 - total % 11) % 11;
    String all = digits + (check == 10 ? "X" : Integer.toString(check));
    return String.join(
        "-", all.substring(0, 4), all.substring(4, 8), all.substring(8, 12), all.substring(12));
  }
}
