package org.quietlantern.server.bibliography;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of a folder's bibliography since a day. */
@Service
@Transactional(readOnly = true)
public class BibliographySince {
  private static final String CAME = "came";
  private static final String CHANGED = "changed";
  private static final List<String> ORDER = List.of(CAME, "mended", "annotated", CHANGED);

  private final SinceMapper mapper;
  private final FolderReading reading;
  private final Publications publications;
  private final Mends mends;
  private final Calendar calendar;

  /**
   * One that changed.
   *
   * @param what of {@code came}, {@code mended}, {@code annotated}, {@code changed} by a source and
   *     {@code gone}
   * @param at when it last did
   */
  public record ChangedEntry(WorkTitled publication, List<String> what, Instant at) {}

  /** What changed last comes first. */
  public record ChangedSince(LocalDate since, List<ChangedEntry> entries) {}

  BibliographySince(
      SinceMapper mapper,
      FolderReading reading,
      Publications publications,
      Mends mends,
      Calendar calendar) {
    this.mends = mends;
    this.calendar = calendar;
    this.mapper = mapper;
    this.reading = reading;
    this.publications = publications;
  }

  /** {@code wanted} counts from its beginning, in the zone of the group; absent: a month ago. */
  public ChangedSince of(Member who, String pid, @Nullable LocalDate wanted) {
    LocalDate day = wanted == null ? calendar.today(who.zoneId()).minusMonths(1) : wanted;
    FolderReading.FolderWorks works = reading.works(who, pid);
    Instant from = day.atStartOfDay(who.zoneId()).toInstant();
    List<ChangedEntry> all = new ArrayList<>(changed(who, works, from));
    all.addAll(gone(who, works, pid, from));
    all.sort(
        Comparator.comparing(ChangedEntry::at)
            .reversed()
            .thenComparing(one -> one.publication().id()));
    return new ChangedSince(day, all);
  }

  private List<ChangedEntry> changed(Member who, FolderReading.FolderWorks works, Instant from) {
    Map<Integer, List<SinceMapper.Change>> changes =
        mapper.changes(who.group(), works.folder(), from).stream()
            .collect(Collectors.groupingBy(SinceMapper.Change::publication));
    Map<Integer, List<Mends.Mended>> mended = mends.of(who, changes.keySet());
    return publications.byId(Viewer.of(who), changes.keySet()).stream()
        .map(stored -> entry(titled(stored, mended), changes.get(stored.id())))
        .toList();
  }

  private static WorkTitled titled(
      StoredPublication stored, Map<Integer, List<Mends.Mended>> mended) {
    return new WorkTitled(stored.pid(), Mends.read(stored, mended).title());
  }

  private static ChangedEntry entry(WorkTitled work, List<SinceMapper.Change> changes) {
    Instant came =
        changes.stream()
            .filter(one -> one.what().equals(CAME))
            .map(SinceMapper.Change::at)
            .findFirst()
            .orElse(Instant.MIN);
    return new ChangedEntry(
        work,
        changes.stream()
            // What a source changed before it came is no news of it.
            .filter(one -> !one.what().equals(CHANGED) || one.at().isAfter(came))
            .map(SinceMapper.Change::what)
            .distinct()
            .sorted(Comparator.comparing(ORDER::indexOf))
            .toList(),
        changes.stream().map(SinceMapper.Change::at).max(Instant::compareTo).orElseThrow());
  }

  /** Those that were taken out and are not back. */
  private List<ChangedEntry> gone(
      Member who, FolderReading.FolderWorks works, String pid, Instant from) {
    Set<String> there = new HashSet<>(works.ids());
    Map<String, Instant> left =
        mapper.gone(who.group(), "folder:" + pid, from).stream()
            .filter(one -> !there.contains(one.publication()))
            .collect(Collectors.toMap(SinceMapper.Gone::publication, SinceMapper.Gone::at));
    Map<String, StoredPublication> stored =
        publications.byAskedPid(Viewer.of(who), List.copyOf(left.keySet()));
    Map<Integer, List<Mends.Mended>> mended =
        mends.of(who, stored.values().stream().map(StoredPublication::id).toList());
    return stored.entrySet().stream()
        .filter(one -> !there.contains(one.getValue().pid()))
        .map(
            one ->
                new ChangedEntry(
                    titled(one.getValue(), mended), List.of("gone"), left.get(one.getKey())))
        .toList();
  }
}
