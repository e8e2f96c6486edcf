package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.ChangeKind;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one door into the catalogue: everything that writes publications goes through it. Whatever
 * changes gets a number, and because only one writer is inside at a time, the order of numbers is
 * the order of commits.
 */
@Service
public class Catalogue {
  /** Records that one transaction takes. */
  public static final int MOST = 500;

  /** Letters of an identifier; a longer one finds no place in an index of the database. */
  public static final int LONGEST_NAME = 1_000;

  /** Letters of a key that are kept; comparing decides, the key only finds. */
  private static final int LONGEST_KEY = 400;

  private final CatalogueMapper mapper;
  private final PublicIds ids;
  private final Json json;
  private final Calendar calendar;

  Catalogue(CatalogueMapper mapper, PublicIds ids, Json json, Calendar calendar) {
    this.mapper = mapper;
    this.ids = ids;
    this.json = json;
    this.calendar = calendar;
  }

  /**
   * Takes a page of records of a source, in the caller's transaction; the caller notes its own
   * progress in the same one. Records of one work come under one publication.
   *
   * @return how many publications changed
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public int take(int source, List<SourceRecord> records) {
    if (records.size() > MOST) {
      throw new IllegalArgumentException("more than " + MOST + " records: " + records.size());
    }
    mapper.lock();
    // A page may name a record twice; the last one is the newest.
    Map<String, SourceRecord> newest = new LinkedHashMap<>();
    records.forEach(record -> newest.put(record.identifier(), record));
    int rank = mapper.rank(source);
    Map<String, WorkRecord> members = new LinkedHashMap<>();
    // Supplied after all that is kept, in the order of the page (rule W2).
    newest.forEach(
        (identifier, record) ->
            members.put(
                identifier, WorkRecord.of(record, rank, Long.MAX_VALUE - MOST + members.size())));
    Works works = load(source, members);
    members.replaceAll((identifier, member) -> inItsPlace(works, source, member));
    members.forEach((identifier, member) -> take(works, source, member));
    return write(works, source, members);
  }

  /** What a source only repeats was supplied when it was supplied first. */
  private static WorkRecord inItsPlace(Works works, int source, WorkRecord member) {
    Work.Name name = new Work.Name(source, member.record().identifier());
    return works
        .find(name)
        .flatMap(work -> work.member(name))
        .filter(known -> known.record().equals(member.record()))
        .map(known -> member.at(known.order()))
        .orElse(member);
  }

  private static void take(Works works, int source, WorkRecord member) {
    Work.Name name = new Work.Name(source, member.record().identifier());
    if (member.record().deleted()) {
      works.withdraw(name, member.record().datestamp());
    } else {
      works.take(name, member);
    }
  }

  /** All works that the records belong to already or share a key with. */
  private Works load(int source, Map<String, WorkRecord> members) {
    String[] keys =
        members.values().stream()
            .flatMap(member -> keys(member).stream())
            .distinct()
            .toArray(String[]::new);
    String[] identifiers = members.keySet().toArray(String[]::new);
    Works works = new Works();
    Map<Integer, Work> byId = new HashMap<>();
    for (CatalogueMapper.Kept kept : mapper.kept(source, identifiers, keys)) {
      Work work =
          byId.computeIfAbsent(kept.work(), id -> Work.stored(id, kept.hash(), kept.withdrawn()));
      SourceRecord record =
          new SourceRecord(
              kept.identifier(), kept.format(), kept.raw(), kept.datestamp(), kept.deleted());
      works.know(
          work,
          new Work.Name(kept.source(), kept.identifier()),
          WorkRecord.of(record, kept.rank(), kept.supply()));
    }
    return works;
  }

  private static List<String> keys(WorkRecord member) {
    return member.reading().map(SameWork::keys).orElse(List.of()).stream()
        .map(key -> key.substring(0, Math.min(key.length(), LONGEST_KEY)))
        .toList();
  }

  private int write(Works works, int source, Map<String, WorkRecord> members) {
    Instant now = calendar.now();
    int changed = 0;
    for (Work work : works.touched()) {
      changed += store(work, now) ? 1 : 0;
    }
    for (Works.Merge merge : works.merges()) {
      changed += merge(merge, source, now) ? 1 : 0;
    }
    for (Works.Pair pair : works.doubtful()) {
      doubt(pair, now);
    }
    members.forEach(
        (identifier, member) -> {
          Work.Name name = new Work.Name(source, identifier);
          keep(source, member, works.find(name).flatMap(Work::id).orElse(null), now);
        });
    return changed;
  }

  /** Writes the winning values if they are others than before. */
  private boolean store(Work work, Instant now) {
    Optional<Publication> publication = work.publication();
    if (publication.isEmpty()) {
      return withdraw(work, now);
    }
    MergedFields winning = MergedFields.of(json.write(publication.get()), work.sources());
    if (work.id().isEmpty()) {
      work.id(mapper.add(ids.next(), now, winning.fields(), winning.hash()));
      return true;
    }
    if (!work.isWithdrawn() && Arrays.equals(work.hash(), winning.hash())) {
      return false;
    }
    int id = work.id().orElseThrow();
    number(id, kinds(work, publication.get()), now);
    mapper.change(id, winning.fields(), winning.hash());
    return true;
  }

  /** In which respects a work that is stored changes. */
  private Set<ChangeKind> kinds(Work work, Publication now) {
    Publication before = json.read(mapper.fields(work.id().orElseThrow()), Publication.class);
    Set<ChangeKind> kinds = ChangeKind.between(before, now);
    if (work.isWithdrawn()) {
      kinds.add(ChangeKind.RETURNED);
    }
    if (kinds.isEmpty()) {
      kinds.add(ChangeKind.SUPPLIED);
    }
    return kinds;
  }

  private void number(int publication, Set<ChangeKind> kinds, Instant now) {
    mapper.number(publication, kinds.stream().map(ChangeKind::word).toArray(String[]::new), now);
  }

  private boolean withdraw(Work work, Instant now) {
    if (work.isWithdrawn() || work.id().isEmpty()) {
      return false;
    }
    mapper.withdraw(work.id().orElseThrow(), now);
    number(work.id().orElseThrow(), Set.of(ChangeKind.WITHDRAWN), now);
    return true;
  }

  /** One that was never stored just is a part of the other. */
  private boolean merge(Works.Merge merge, int source, Instant now) {
    if (merge.from().id().isEmpty()) {
      return false;
    }
    int from = merge.from().id().orElseThrow();
    int into = merge.into().id().orElseThrow();
    mapper.merge(from, into);
    mapper.noteJoin(from, into, source, now);
    number(from, Set.of(ChangeKind.JOINED), now);
    number(into, Set.of(ChangeKind.JOINED), now);
    return true;
  }

  private void doubt(Works.Pair pair, Instant now) {
    Optional<Integer> one = pair.one().id();
    Optional<Integer> other = pair.other().id();
    if (one.isPresent() && other.isPresent() && !one.equals(other)) {
      mapper.doubt(Math.min(one.get(), other.get()), Math.max(one.get(), other.get()), now);
    }
  }

  private void keep(int source, WorkRecord member, @Nullable Integer publication, Instant now) {
    SourceRecord record = member.record();
    mapper.keep(
        source,
        record.identifier(),
        publication,
        record.format(),
        record.raw(),
        record.datestamp(),
        record.deleted(),
        now,
        record.deleted() ? new String[0] : member.problems().toArray(String[]::new),
        keys(member).toArray(String[]::new));
  }
}
