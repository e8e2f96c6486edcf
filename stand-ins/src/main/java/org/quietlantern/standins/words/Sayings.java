package org.quietlantern.standins.words;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Templates under the names of what they say, each with the circumstances in which it can be said:
 * words before {@code ::}, of which one must be given ({@code any}: always), each with a plus must
 * be given, and none with an exclamation mark may be.
 */
public final class Sayings {
  private record Saying(Set<String> one, Set<String> all, Set<String> none, Template template) {
    boolean suits(Set<String> circumstances) {
      return (one.isEmpty() || one.contains("any") || !Collections.disjoint(one, circumstances))
          && circumstances.containsAll(all)
          && Collections.disjoint(none, circumstances);
    }
  }

  private final Map<String, List<Saying>> named = new HashMap<>();

  /** Of several tables; {@code == name} begins what is said under a name. */
  public static Sayings of(String... tables) {
    Sayings sayings = new Sayings();
    for (String table : tables) {
      List<Saying> current = null;
      for (String line : Table.lines(table)) {
        if (line.startsWith("== ")) {
          current = sayings.named.computeIfAbsent(line.substring(3), n -> new ArrayList<>());
        } else {
          current.add(saying(line));
        }
      }
    }
    return sayings;
  }

  private static Saying saying(String line) {
    int cut = line.indexOf("::");
    List<String> words = Arrays.asList(line.substring(0, Math.max(cut, 0)).strip().split(" +"));
    return new Saying(
        words.stream()
            .filter(w -> !w.isEmpty() && !w.startsWith("+") && !w.startsWith("!"))
            .collect(java.util.stream.Collectors.toUnmodifiableSet()),
        marked(words, "+"),
        marked(words, "!"),
        Template.of(line.substring(cut < 0 ? 0 : cut + 2).strip()));
  }

  private static Set<String> marked(List<String> words, String sign) {
    return words.stream()
        .filter(w -> w.startsWith(sign))
        .map(w -> w.substring(1))
        .collect(java.util.stream.Collectors.toUnmodifiableSet());
  }

  public boolean has(String name) {
    return named.containsKey(name);
  }

  /** What can be said under a name in these circumstances, in the order of the table. */
  public List<Template> suiting(String name, Set<String> circumstances) {
    List<Saying> all = named.get(name);
    if (all == null) {
      throw new IllegalArgumentException("nothing is said under “" + name + "”");
    }
    return all.stream().filter(s -> s.suits(circumstances)).map(Saying::template).toList();
  }
}
