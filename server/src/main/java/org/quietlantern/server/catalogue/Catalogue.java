package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.core.publication.ChangeKind;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
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

  private static final int EVERYBODY = Viewer.NOBODY.group();

  private final CatalogueMapper mapper;
  private final Candidates candidates;
  private final PageWriter writer;
  private final Json json;
  private final Calendar calendar;

  Catalogue(
      CatalogueMapper mapper,
      Candidates candidates,
      PageWriter writer,
      Json json,
      Calendar calendar) {
    this.mapper = mapper;
    this.candidates = candidates;
    this.writer = writer;
    this.json = json;
    this.calendar = calendar;
  }

  /**
   * Takes a page of records of a source, in the caller's transaction; the caller notes its own
   * progress in the same one. Records of one work come under one publication. What a group's own
   * source supplies changes nothing that others see.
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
    CatalogueMapper.Supplier supplier = mapper.supplier(source);
    Map<String, WorkRecord> members = new LinkedHashMap<>();
    // Supplied after all that is kept, in the order of the page (rule W2).
    newest.forEach(
        (identifier, record) ->
            members.put(
                identifier,
                WorkRecord.of(record, supplier.rank(), Long.MAX_VALUE - MOST + members.size())));
    Page page = new Page(source, supplier.grp(), calendar.now());
    return supplier.grp() == EVERYBODY ? takeShared(page, members) : takeOwn(page, members);
  }

  /**
   * Where a page of records comes from, and when.
   *
   * @param group whose source it is
   */
  private record Page(int source, int group, Instant now) {}

  private int takeShared(Page page, Map<String, WorkRecord> members) {
    Works works = candidates.load(EVERYBODY, page.source(), members, Apart.NOTHING);
    int changed = takeInto(works, page, members);
    for (int group : mapper.groupsWith(Candidates.keys(members))) {
      Apart apart = candidates.apart(group);
      Works own = candidates.load(group, page.source(), members, apart);
      changed += join(own.stored(), works, page, apart);
    }
    return changed;
  }

  /** What is of a shared work stands under it, and supplies it with nothing. */
  private int takeOwn(Page page, Map<String, WorkRecord> members) {
    String[] identifiers = members.keySet().toArray(String[]::new);
    Apart apart = candidates.apart(page.group());
    Works shared = candidates.load(EVERYBODY, page.source(), members, Apart.NOTHING);
    Works own = candidates.load(page.group(), page.source(), members, apart);
    Map<String, Integer> standing = new HashMap<>();
    mapper
        .standing(page.source(), identifiers)
        .forEach(s -> standing.put(s.identifier(), s.work()));
    List<PageWriter.Placed> under = new ArrayList<>();
    Map<String, WorkRecord> rest = new LinkedHashMap<>();
    members.forEach(
        (identifier, member) -> {
          Work.Name name = new Work.Name(page.source(), identifier);
          Optional<Integer> work =
              Optional.ofNullable(standing.get(identifier))
                  .or(
                      () ->
                          own.find(name).isPresent()
                              ? Optional.empty()
                              : shared.same(name, member, apart).flatMap(Work::id));
          if (work.isPresent()) {
            under.add(new PageWriter.Placed(member, work));
          } else {
            rest.put(identifier, member);
          }
        });
    writer.keep(page.source(), page.now(), under);
    int changed = takeInto(own, page, rest);
    // What no record of this page belongs to was compared when it changed last.
    return changed + join(own.touchedStored(), shared, page, apart);
  }

  private int takeInto(Works works, Page page, Map<String, WorkRecord> members) {
    members.replaceAll((identifier, member) -> inItsPlace(works, page.source(), member));
    members.forEach((identifier, member) -> take(works, page.source(), member));
    return write(works, page, members);
  }

  /** What a group alone had and has turned out to be a shared work goes into that one. */
  private int join(List<Work> own, Works shared, Page page, Apart apart) {
    int joined = 0;
    for (Work work : own) {
      Optional<Work> whole = shared.same(work, apart);
      if (whole.isPresent()) {
        merge(work, whole.get(), page);
        joined++;
      }
    }
    return joined;
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

  private int write(Works works, Page page, Map<String, WorkRecord> members) {
    int changed = 0;
    List<PageWriter.Fresh> fresh = new ArrayList<>();
    for (Work work : works.touched()) {
      changed += store(work, page, fresh) ? 1 : 0;
    }
    writer.add(page.group(), page.now(), fresh);
    for (Works.Merge merge : works.merges()) {
      changed += merge(merge, page) ? 1 : 0;
    }
    if (page.group() == EVERYBODY) {
      works.doubtful().forEach(pair -> doubt(pair, page.now()));
    }
    List<PageWriter.Placed> placed = new ArrayList<>();
    members.forEach(
        (identifier, member) -> {
          Work.Name name = new Work.Name(page.source(), identifier);
          placed.add(new PageWriter.Placed(member, works.find(name).flatMap(Work::id)));
        });
    writer.keep(page.source(), page.now(), placed);
    return changed;
  }

  /** Writes the winning values if they are others than before; a new work is put to the fresh. */
  private boolean store(Work work, Page page, List<PageWriter.Fresh> fresh) {
    Instant now = page.now();
    Optional<Publication> publication = work.publication();
    if (publication.isEmpty()) {
      return withdraw(work, now);
    }
    MergedFields winning = MergedFields.of(json.write(publication.get()), work.sources());
    if (work.id().isEmpty()) {
      fresh.add(new PageWriter.Fresh(work, winning));
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
  private boolean merge(Works.Merge merge, Page page) {
    if (merge.from().id().isEmpty()) {
      return false;
    }
    int into = merge(merge.from(), merge.into(), page);
    number(into, Set.of(ChangeKind.JOINED), page.now());
    return true;
  }

  /** Both are stored. Answers the row of the whole, which has no number of its own by this. */
  private int merge(Work part, Work whole, Page page) {
    int from = part.id().orElseThrow();
    int into = whole.id().orElseThrow();
    mapper.merge(from, into);
    mapper.noteJoin(from, into, page.source(), page.now());
    number(from, Set.of(ChangeKind.JOINED), page.now());
    return into;
  }

  private void doubt(Works.Pair pair, Instant now) {
    Optional<Integer> one = pair.one().id();
    Optional<Integer> other = pair.other().id();
    if (one.isPresent() && other.isPresent() && !one.equals(other)) {
      mapper.doubt(Math.min(one.get(), other.get()), Math.max(one.get(), other.get()), now);
    }
  }
}
