package org.quietlantern.core.review;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Who is mentioned in a remark: {@code @} and a name as it is written in the group, whole or the
 * first part of it where only one has it. Case makes no difference; {@code @} inside of a word, as
 * in an address of mail, mentions nobody.
 */
public final class Mentions {
  private Mentions() {}

  /**
   * In the order of the text, each once.
   *
   * @param names of members, by whatever they are known by
   */
  public static <T> List<T> in(String text, Map<T, String> names) {
    Map<String, T> calls = calls(names);
    List<String> longest = new ArrayList<>(calls.keySet());
    longest.sort(Comparator.comparing(String::length).reversed());
    String small = text.toLowerCase(Locale.ROOT);
    Set<T> mentioned = new LinkedHashSet<>();
    for (int at = small.indexOf('@'); at >= 0; at = small.indexOf('@', at + 1)) {
      if (at > 0 && isOfWord(small, at - 1)) {
        continue;
      }
      String behind = small.substring(at + 1);
      longest.stream()
          .filter(call -> behind.startsWith(call) && !isOfWord(behind, call.length()))
          .findFirst()
          .ifPresent(call -> mentioned.add(calls.get(call)));
    }
    return List.copyOf(mentioned);
  }

  private static <T> Map<String, T> calls(Map<T, String> names) {
    Map<String, T> calls = new LinkedHashMap<>();
    Set<String> shared = new LinkedHashSet<>();
    names.forEach(
        (who, name) -> {
          String small = name.toLowerCase(Locale.ROOT);
          for (String call : Set.of(small, small.split(" ")[0])) {
            T other = calls.putIfAbsent(call, who);
            if (other != null && !other.equals(who)) {
              shared.add(call);
            }
          }
        });
    shared.forEach(calls::remove);
    return calls;
  }

  private static boolean isOfWord(String text, int at) {
    return at < text.length() && Character.isLetterOrDigit(text.codePointAt(at));
  }
}
