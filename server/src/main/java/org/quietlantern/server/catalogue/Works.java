package org.quietlantern.server.catalogue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;

/**
 * The works that a page of records touches or may join, while it is taken. Decides which record
 * belongs where (rules W1, W2); writes nothing.
 */
final class Works {
  /** Two works that may be one. */
  record Pair(Work one, Work other) {}

  /** A work that was taken into another one. */
  record Merge(Work from, Work into) {}

  private final Apart apart;
  private final Map<Work.Name, Work> byName = new HashMap<>();
  private final Map<String, Set<Work>> byKey = new HashMap<>();
  private final Set<Work> touched = new LinkedHashSet<>();
  private final List<Pair> doubtful = new ArrayList<>();
  private final List<Merge> merges = new ArrayList<>();

  /** {@code apart}: what a person decided of records that are taken into these. */
  Works(Apart apart) {
    this.apart = apart;
  }

  /** Makes a stored record known. */
  void know(Work work, Work.Name name, WorkRecord member) {
    work.put(name, member);
    file(work, name, member);
  }

  Optional<Work> find(Work.Name name) {
    return Optional.ofNullable(byName.get(name));
  }

  /** A record that its source has taken back; nothing where it was never heard of. */
  void withdraw(Work.Name name, String datestamp) {
    find(name)
        .ifPresent(
            work -> {
              work.put(name, work.member(name).orElseThrow().deleted(datestamp));
              touched.add(work);
            });
  }

  /** A record as supplied now; one that cannot be read changes no publication. */
  void take(Work.Name name, WorkRecord member) {
    Optional<Work> own = find(name);
    Optional<Publication> reading = member.reading();
    if (reading.isEmpty()) {
      return;
    }
    Map<SameWork.Likeness, List<Work>> others = compare(own, name, member, reading.get(), apart);
    List<Work> same = others.getOrDefault(SameWork.Likeness.SAME, List.of());
    Work home = own.orElseGet(() -> same.isEmpty() ? new Work() : same.get(0));
    home.put(name, member);
    file(home, name, member);
    touched.add(home);
    for (Work other : same) {
      home = other == home ? home : join(home, other);
    }
    for (Work other : others.getOrDefault(SameWork.Likeness.DOUBTFUL, List.of())) {
      doubtful.add(new Pair(home, other));
    }
  }

  /** The other works that share a key with a record, by what comparing comes to; oldest first. */
  private Map<SameWork.Likeness, List<Work>> compare(
      Optional<Work> own, Work.Name name, WorkRecord member, Publication reading, Apart not) {
    return member.keys().stream()
        .flatMap(key -> byKey.getOrDefault(key, Set.of()).stream())
        .distinct()
        .filter(work -> own.isEmpty() || own.get() != work)
        .filter(work -> !not.holds(name, work))
        .sorted(Comparator.comparingInt(work -> work.id().orElse(Integer.MAX_VALUE)))
        .collect(Collectors.groupingBy(work -> work.likeness(reading)));
  }

  /** Works that are there and that a record is like, the oldest first; it is taken into none. */
  Map<SameWork.Likeness, List<Work>> like(Work.Name name, WorkRecord member, Apart not) {
    return member.reading().stream()
        .flatMap(
            reading -> compare(Optional.empty(), name, member, reading, not).entrySet().stream())
        .collect(
            Collectors.toMap(
                Map.Entry::getKey,
                one ->
                    one.getValue().stream()
                        .filter(work -> work.id().isPresent() && !work.isWithdrawn())
                        .toList()));
  }

  /** The oldest work that is there and that a record is of, by all its records. */
  Optional<Work> same(Work.Name name, WorkRecord member, Apart not) {
    return like(name, member, not).getOrDefault(SameWork.Likeness.SAME, List.of()).stream()
        .findFirst();
  }

  /** The same for a work of others, which has to fit it with all its records. */
  Optional<Work> same(Work other, Apart not) {
    return other.names().stream()
        .flatMap(name -> same(name, other.member(name).orElseThrow(), not).stream())
        .filter(
            work -> work.fits(other) && other.names().stream().noneMatch(n -> not.holds(n, work)))
        .findFirst();
  }

  /** All that have a row. */
  List<Work> stored() {
    return byName.values().stream().distinct().filter(work -> work.id().isPresent()).toList();
  }

  /** The older takes over the younger, unless their records contradict each other. */
  private Work join(Work home, Work other) {
    if (!home.fits(other)) {
      doubtful.add(new Pair(home, other));
      return home;
    }
    boolean homeIsOlder =
        home.id().orElse(Integer.MAX_VALUE) <= other.id().orElse(Integer.MAX_VALUE);
    Work into = homeIsOlder ? home : other;
    Work from = homeIsOlder ? other : home;
    into.absorb(from);
    byName.replaceAll((name, work) -> work == from ? into : work);
    byKey.values().forEach(works -> replace(works, from, into));
    touched.remove(from);
    touched.add(into);
    merges.add(new Merge(from, into));
    return into;
  }

  private static void replace(Set<Work> works, Work from, Work into) {
    if (works.remove(from)) {
      works.add(into);
    }
  }

  private void file(Work work, Work.Name name, WorkRecord member) {
    byName.put(name, work);
    member.keys().forEach(key -> byKey.computeIfAbsent(key, k -> new LinkedHashSet<>()).add(work));
  }

  /** Works whose records changed, without those that went into others. */
  Set<Work> touched() {
    return touched;
  }

  /** Those of them that have a row. */
  List<Work> touchedStored() {
    return touched.stream().filter(work -> work.id().isPresent()).toList();
  }

  List<Merge> merges() {
    return merges;
  }

  List<Pair> doubtful() {
    return doubtful;
  }
}
