package org.quietlantern.core.search;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Gives the values of one property small numbers, the same for the life of the index. */
final class ValueTable {
  private final Map<String, Integer> numbers = new HashMap<>();
  private final List<String> values = new ArrayList<>();

  synchronized int number(String value) {
    return numbers.computeIfAbsent(
        value,
        v -> {
          values.add(v);
          return values.size() - 1;
        });
  }

  /** -1 for a value that was never met. */
  synchronized int find(String value) {
    return numbers.getOrDefault(value, -1);
  }

  synchronized String value(int number) {
    return values.get(number);
  }

  synchronized int size() {
    return values.size();
  }
}
