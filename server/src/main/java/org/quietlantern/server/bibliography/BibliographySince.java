package org.quietlantern.server.bibliography;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What became of a folder's bibliography since a day. */
@Service
@Transactional(readOnly = true)
public class BibliographySince {
  private final SinceMapper mapper;
  private final FolderReading reading;
  private final Publications publications;
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
      SinceMapper mapper, FolderReading reading, Publications publications, Calendar calendar) {
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
    List<SinceMapper.Change> changes = mapper.changes(who.group(), works.folder(), from);
    Set<String> there = new HashSet<>(works.ids());
    Map<String, Instant> gone =
        mapper.gone(who.group(), "folder:" + pid, from).stream()
            .filter(one -> !there.contains(one.publication()))
            .collect(
                Collectors.toMap(SinceMapper.Gone::publication, SinceMapper.Gone::at, (a, b) -> a));
    Map<Integer, WorkTitled> titles =
        publications.titles(
            Viewer.of(who),
            changes.stream().map(SinceMapper.Change::publication).distinct().toList());
    List<ChangedEntry> all =
        changes.stream()
            .collect(Collectors.groupingBy(SinceMapper.Change::publication))
            .entrySet()
            .stream()
            .filter(one -> titles.containsKey(one.getKey()))
            .map(one -> entry(titles.get(one.getKey()), one.getValue()))
            .collect(Collectors.toList());
    publications
        .byAskedPid(Viewer.of(who), List.copyOf(gone.keySet()))
        .forEach(
            (asked, stored) -> {
              if (!there.contains(stored.pid())) {
                all.add(new ChangedEntry(WorkTitled.of(stored), List.of("gone"), gone.get(asked)));
              }
            });
    all.sort(
        Comparator.comparing(ChangedEntry::at)
            .reversed()
            .thenComparing(one -> one.publication().id()));
    return new ChangedSince(day, all);
  }

  private static ChangedEntry entry(WorkTitled work, List<SinceMapper.Change> changes) {
    boolean came = changes.stream().anyMatch(one -> one.what().equals("came"));
    return new ChangedEntry(
        work,
        changes.stream()
            .map(SinceMapper.Change::what)
            // What changed before it came is no news of it.
            .filter(what -> !came || !what.equals("changed"))
            .distinct()
            .sorted()
            .toList(),
        changes.stream().map(SinceMapper.Change::at).max(Instant::compareTo).orElseThrow());
  }
}
