package org.quietlantern.server.catalogue;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Predicate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.RecordMerge;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.server.platform.Nullable;

/** A publication while a page of records is taken: its records, and what was stored of it. */
final class Work {
  /** A record by its source and identifier. */
  record Name(int source, String identifier) {}

  private final Map<Name, WorkRecord> members = new LinkedHashMap<>();
  private @Nullable Integer id;
  private byte[] hash = {};
  private boolean withdrawn;

  static Work stored(int id, byte[] hash, boolean withdrawn) {
    Work work = new Work();
    work.id = id;
    work.hash = hash;
    work.withdrawn = withdrawn;
    return work;
  }

  Optional<Integer> id() {
    return Optional.ofNullable(id);
  }

  /** Once it is stored. */
  void id(int stored) {
    id = stored;
  }

  byte[] hash() {
    return hash;
  }

  boolean isWithdrawn() {
    return withdrawn;
  }

  void put(Name name, WorkRecord member) {
    members.put(name, member);
  }

  Optional<WorkRecord> member(Name name) {
    return Optional.ofNullable(members.get(name));
  }

  Collection<WorkRecord> members() {
    return members.values();
  }

  Set<Name> names() {
    return members.keySet();
  }

  /** Takes over all records of another. */
  void absorb(Work other) {
    members.putAll(other.members);
  }

  /** Those that supply it now. */
  SortedSet<Integer> sources() {
    SortedSet<Integer> sources = new TreeSet<>();
    members.forEach(
        (name, member) -> {
          if (member.supplies()) {
            sources.add(name.source());
          }
        });
    return sources;
  }

  /** The winning values; none when no record supplies any. */
  Optional<Publication> publication() {
    List<RecordMerge.Supplied> supplied =
        members.values().stream()
            .filter(WorkRecord::supplies)
            .map(m -> new RecordMerge.Supplied(m.reading().orElseThrow(), m.rank(), m.order()))
            .toList();
    return supplied.isEmpty() ? Optional.empty() : Optional.of(RecordMerge.of(supplied));
  }

  /** Rule W1, against all its records: one must be the same, none may contradict. */
  SameWork.Likeness likeness(Publication other) {
    SameWork.Likeness best = SameWork.Likeness.OTHER;
    for (Publication own : readings()) {
      SameWork.Likeness one = SameWork.compare(own, other);
      best = one.compareTo(best) < 0 ? one : best;
    }
    boolean contradicts = best == SameWork.Likeness.SAME && !all(own -> SameWork.fit(own, other));
    return contradicts ? SameWork.Likeness.DOUBTFUL : best;
  }

  /** Whether the records of both may stand together. */
  boolean fits(Work other) {
    return all(own -> other.all(theirs -> SameWork.fit(own, theirs)));
  }

  private boolean all(Predicate<Publication> holds) {
    return readings().stream().allMatch(holds);
  }

  List<Publication> readings() {
    return members.values().stream().flatMap(m -> m.reading().stream()).toList();
  }
}
