package org.quietlantern.server.alert;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.quietlantern.server.support.Supply;

/**
 * What alerts have to tell, worked out of the whole history by somebody who does nothing clever:
 * works, what is known of them, and for each alert what it ever matched.
 */
final class AlertModel {
  final Map<String, Work> works = new LinkedHashMap<>();

  /** Whether the vocabulary has one heading below the other. */
  boolean narrower;

  /** Whether the group holds the journal of the works that are on a shelf. */
  boolean held;

  /** When a work appeared, as its source says; the days of the test are in November 2026. */
  enum Dated {
    RECENTLY("2026-10-02", "published"),
    LONG_AGO("2014-05-01", "late"),
    NEVER("", "undated");

    final String date;
    final String newClass;

    Dated(String date, String newClass) {
      this.date = date;
      this.newClass = newClass;
    }
  }

  /** A work as the evaluator knows it. */
  static final class Work {
    final String key;
    Dated dated;
    int publication;

    /** By which it is known outside. */
    String number;

    Set<String> topics;

    /** The source that decides what is known of it, and how it is called there. */
    Supply home;

    String identifier;

    Work whole = this;

    /** What turned out to be the same. */
    final Set<Work> parts = new HashSet<>();

    /** In a journal that groups may hold. */
    boolean onShelf;

    boolean there = true;
    boolean decided;

    /** As {@code retraction} or {@code correction}, in the order in which they were published. */
    final List<String> notices = new ArrayList<>();

    Work(String key, Dated dated, Set<String> topics, Supply home) {
      this.key = key;
      this.number = key;
      this.dated = dated;
      this.topics = topics;
      this.home = home;
      this.identifier = key;
    }
  }

  /** An alert: what it asks for, what it ever matched or passed over, what it still has to see. */
  final class Watch {
    final String id;
    final String search;
    final boolean ours;
    Set<String> topics;
    int revision = 1;
    boolean paused;
    final Set<Work> memory = new HashSet<>();
    final Set<Work> arrivedSince = new HashSet<>();
    final Set<Work> touchedSince = new HashSet<>();
    final List<Noticed> noticedSince = new ArrayList<>();
    final Map<String, String> told = new TreeMap<>();

    /** {@code ours}: asks only for what is the group's to read. */
    Watch(String id, String search, Set<String> topics, boolean ours) {
      this.ours = ours;
      this.id = id;
      this.search = search;
      this.topics = topics;
    }

    boolean finds(Work work) {
      return work.there
          && (!ours || (held && work.onShelf && work.dated != Dated.NEVER))
          && (work.topics.stream().anyMatch(topics::contains)
              || (narrower && topics.contains("glow") && work.topics.contains("shimmer")));
    }

    boolean knows(Work work) {
      return memory.contains(work) || work.parts.stream().anyMatch(this::knows);
    }

    /** Whether it is new; known from then on. */
    boolean learns(Work work) {
      boolean isNew = !knows(work);
      memory.add(work);
      return isNew;
    }

    void run() {
      if (paused) {
        return;
      }
      for (Noticed notice : noticedSince) {
        if (knows(notice.work()) && notice.work().decided) {
          String key = notice.work().key + " " + notice.kind() + " ";
          long before = told.keySet().stream().filter(one -> one.startsWith(key)).count();
          told.put(key + (before + 1), notice.kind());
        }
      }
      for (Work work : touchedSince) {
        if (finds(work) && learns(work)) {
          told.put(work.key, arrivedSince.contains(work) ? work.dated.newClass : "now matching");
        }
      }
      // Held against everything: what a vocabulary widens goes quietly into memory.
      works.values().stream().filter(this::finds).forEach(memory::add);
      seen();
    }

    void seen() {
      arrivedSince.clear();
      touchedSince.clear();
      noticedSince.clear();
    }
  }

  record Noticed(Work work, String kind) {}

  /** By the work that it is now; what was told of parts before they were one stands beside it. */
  static String named(Work work) {
    return work.whole == work ? work.key : named(work.whole);
  }

  /** Occasions and classes. */
  List<String> expected(Watch watch) {
    return watch.told.entrySet().stream()
        .map(
            one -> {
              String[] parts = one.getKey().split(" ", 2);
              String occasion = parts.length > 1 ? " " + parts[1] : "";
              return named(works.get(parts[0])) + occasion + ": " + one.getValue();
            })
        .sorted()
        .toList();
  }
}
