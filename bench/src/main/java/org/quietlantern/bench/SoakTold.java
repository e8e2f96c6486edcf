package org.quietlantern.bench;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.atomic.AtomicInteger;

/** What all members were answered: by status, and how long searches took. */
final class SoakTold {
  private final Map<String, AtomicInteger> statuses = new ConcurrentSkipListMap<>();
  private final List<String> failures = Collections.synchronizedList(new ArrayList<>());
  private final List<Double> searches = Collections.synchronizedList(new ArrayList<>());

  /** An address without ids, as a kind. */
  static String form(String path) {
    return path.replaceAll("/[\\w-]*\\d[\\w-]*", "/*").replaceAll("/\\w{10}(?=/|$)", "/*");
  }

  void answer(String what, HttpResponse<String> answer, long nanos) {
    int status = answer.statusCode();
    count(Integer.toString(status));
    if (status >= 500 && status != 503) {
      failures.add(what + ": " + status + " " + answer.body());
    } else if (status >= 400) {
      count(status + " " + what);
    }
    if (what.endsWith("/search") && status == 200) {
      searches.add(nanos / 1e6);
    }
  }

  void away() {
    count("no answer");
  }

  List<String> failures() {
    return List.copyOf(failures);
  }

  Map<String, AtomicInteger> statuses() {
    return new TreeMap<>(statuses);
  }

  Times searches() {
    List<Double> sorted = new ArrayList<>(searches);
    sorted.sort(null);
    return new Times(sorted.get(sorted.size() / 2), sorted.get(sorted.size() * 95 / 100));
  }

  private void count(String what) {
    statuses.computeIfAbsent(what, w -> new AtomicInteger()).incrementAndGet();
  }
}
