package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.ChangeKind;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reading the catalogue. */
@Service
@Transactional(readOnly = true)
public class Publications {
  private static final Logger LOG = LoggerFactory.getLogger(Publications.class);
  private final CatalogueMapper mapper;
  private final Json json;
  private final Calendar calendar;

  /** A numbered change. {@code isNew}: the publication came with it. */
  public record Change(long no, int publication, boolean isNew) {}

  /** A work (row number, as it is known now) that comes again, on what, and when it did. */
  public record ComesAgain(int work, Coming on, Instant at) {}

  Publications(CatalogueMapper mapper, Json json, Calendar calendar) {
    this.calendar = calendar;
    this.mapper = mapper;
    this.json = json;
  }

  /**
   * Those of the ids that exist, withdrawn ones too, in the order of the ids. Merged ones are what
   * they were merged into; nothing comes twice.
   */
  public List<StoredPublication> byPid(Viewer viewer, List<String> pids) {
    Map<String, Integer> place = new HashMap<>();
    pids.forEach(pid -> place.putIfAbsent(pid, place.size()));
    Map<Integer, StoredPublication> found = new LinkedHashMap<>();
    mapper.byPid(viewer.group(), pids.toArray(String[]::new)).stream()
        .sorted(Comparator.comparingInt(row -> place.get(row.askedPid())))
        .forEach(row -> found.putIfAbsent(row.id(), stored(row)));
    return List.copyOf(found.values());
  }

  /** Those of the ids that exist, withdrawn ones too, each by the id that it was asked for by. */
  public Map<String, StoredPublication> byAskedPid(Viewer viewer, Collection<String> pids) {
    return mapper.byPid(viewer.group(), pids.toArray(String[]::new)).stream()
        .collect(Collectors.toMap(CatalogueMapper.Row::askedPid, this::stored, (one, same) -> one));
  }

  /**
   * Those of the row numbers that exist, withdrawn ones too, by row number. Merged ones are what
   * they were merged into, once for each number asked for.
   */
  public List<StoredPublication> byId(Viewer viewer, Collection<Integer> ids) {
    return mapper.byId(viewer.group(), ids.toArray(Integer[]::new)).stream()
        .map(this::stored)
        .toList();
  }

  /** The same, each by the row number that it was asked for by. */
  public Map<Integer, StoredPublication> byAsked(Viewer viewer, Collection<Integer> ids) {
    return byId(viewer, ids).stream()
        .collect(
            Collectors.toMap(StoredPublication::asked, Function.identity(), (one, same) -> one));
  }

  /** The same whoever may see them: for what is built of all, and shown to nobody as it is. */
  public List<StoredPublication> ofAnybody(Collection<Integer> ids) {
    return mapper.ofAnybody(ids.toArray(Integer[]::new)).stream().map(this::stored).toList();
  }

  /** Those of the DOIs that no publication here has, in their order. */
  public List<String> notHere(Viewer viewer, List<String> dois) {
    Set<String> here = withDois(viewer, dois).keySet();
    return dois.stream().filter(doi -> !here.contains(SameWork.doiKey(doi))).toList();
  }

  /**
   * Works (row numbers) that have a record with one of some keys ({@link SameWork#keys}), by the
   * key; the longest keys are not found.
   */
  public Map<String, List<Integer>> withKeys(Viewer viewer, Collection<String> keys) {
    return mapper.withKeys(viewer.group(), keys.stream().distinct().toArray(String[]::new)).stream()
        .collect(
            Collectors.groupingBy(
                CatalogueMapper.WithKey::value,
                Collectors.mapping(CatalogueMapper.WithKey::publication, Collectors.toList())));
  }

  private Map<String, Integer> withDois(Viewer viewer, Collection<String> dois) {
    String[] keys = dois.stream().map(SameWork::doiKey).distinct().toArray(String[]::new);
    if (keys.length == 0) {
      return Map.of();
    }
    return mapper.withKeys(viewer.group(), keys).stream()
        .collect(
            Collectors.toMap(
                CatalogueMapper.WithKey::value,
                CatalogueMapper.WithKey::publication,
                (one, other) -> one));
  }

  /** All that share a key with a work ({@link SameWork#keys}), withdrawn ones left out. */
  public List<StoredPublication> byKeys(Viewer viewer, List<String> keys) {
    return mapper.byKeys(viewer.group(), keys.toArray(String[]::new)).stream()
        .map(this::stored)
        .filter(stored -> !stored.withdrawn())
        .toList();
  }

  /** Titles of works by the row numbers they are asked by; what is not there is left out. */
  public Map<Integer, WorkTitled> titles(Viewer viewer, Collection<Integer> ids) {
    return byId(viewer, ids).stream()
        .collect(Collectors.toMap(StoredPublication::asked, WorkTitled::of));
  }

  /** Works that are here by now of those with a DOI, by {@link SameWork#doiKey}. */
  public Map<String, WorkTitled> byDoi(Viewer viewer, Collection<String> dois) {
    Map<String, Integer> here = withDois(viewer, dois);
    Map<Integer, WorkTitled> titles = titles(viewer, here.values());
    return here.entrySet().stream()
        .filter(one -> titles.containsKey(one.getValue()))
        .collect(Collectors.toMap(Map.Entry::getKey, one -> titles.get(one.getValue())));
  }

  public Optional<StoredPublication> find(Viewer viewer, String pid) {
    return byPid(viewer, List.of(pid)).stream().findFirst();
  }

  /** What a publication is now: itself, or what it was merged into. */
  public StoredPublication get(Viewer viewer, String pid) {
    return find(viewer, pid).orElseThrow(Refusal::unknown);
  }

  /** All of some publications, each once; refused where one is not there or there are too many. */
  public List<StoredPublication> getAll(Viewer viewer, List<String> pids, int most) {
    requireSome(pids, most);
    List<StoredPublication> found = byPid(viewer, pids);
    if (mapper.existing(viewer.group(), pids.toArray(String[]::new)) < Set.copyOf(pids).size()) {
      throw Refusal.unknown();
    }
    return found;
  }

  /** Refuses an act that is about nothing, or about more than so many. */
  public static void requireSome(List<String> publications, int most) {
    if (publications == null || publications.isEmpty() || publications.size() > most) {
      throw Refusal.unusable(
          "publications",
          "One act is about one publication at least and %,d at most.".formatted(most));
    }
  }

  /** What comes again by changes above {@code after} up to {@code upTo}, in their order. */
  public List<ComesAgain> comeAgain(long after, long upTo) {
    return comeAgain(after, upTo, Instant.EPOCH);
  }

  /** The same of what changed since a moment. */
  public List<ComesAgain> comeAgain(Instant since) {
    return comeAgain(0, Long.MAX_VALUE, since);
  }

  private List<ComesAgain> comeAgain(long after, long upTo, Instant since) {
    return mapper.comeAgain(after, upTo, since, Occasion.changes().toArray(String[]::new)).stream()
        .flatMap(
            change ->
                Occasion.again(ChangeKind.named(List.of(change.kinds()))).stream()
                    .map(
                        occasion ->
                            new ComesAgain(
                                change.work(),
                                new Coming(occasion, occasion.key(change.no())),
                                change.at())))
        .toList();
  }

  /** Row numbers of what was merged into each of these; nothing for most. */
  public Map<Integer, List<Integer>> parts(Collection<Integer> ids) {
    return mapper.parts(ids.toArray(Integer[]::new)).stream()
        .collect(
            Collectors.groupingBy(
                CatalogueMapper.Part::whole,
                Collectors.mapping(CatalogueMapper.Part::part, Collectors.toList())));
  }

  /** A publication and everything that was merged into it: row numbers. */
  public Integer[] withParts(StoredPublication whole) {
    List<Integer> parts = parts(List.of(whole.id())).getOrDefault(whole.id(), List.of());
    return Stream.concat(Stream.of(whole.id()), parts.stream()).toArray(Integer[]::new);
  }

  /** Those of some publications (row numbers) that one group alone has. */
  public Set<Integer> own(Collection<Integer> ids) {
    return ids.isEmpty() ? Set.of() : Set.copyOf(mapper.own(ids.toArray(Integer[]::new)));
  }

  /** How many pairs may be the same work and wait for a person. */
  public int doubtful() {
    return mapper.doubtful();
  }

  /** The public id of the publication that this one was merged into. */
  public Optional<String> canonicalOf(Viewer viewer, String pid) {
    return Optional.ofNullable(mapper.canonicalOf(viewer.group(), pid));
  }

  /** The number of the last change; 0 in an empty catalogue. */
  public long latest() {
    return mapper.latest();
  }

  /** Changes with numbers above {@code after} up to {@code upTo}, in order. */
  public List<Change> changes(long after, long upTo, int most) {
    return mapper.changes(after, upTo, most).stream()
        .map(c -> new Change(c.no(), c.publication(), List.of(c.kinds()).contains("new")))
        .toList();
  }

  /** Names a record that the index could not deal with; the rest go on. */
  @Transactional
  public void setAside(int publication, long no, String why) {
    LOG.warn("publication {} was set aside by the index: {}", publication, why);
    mapper.setAside(
        new CatalogueMapper.NewSetAside(publication, no, "index", null, 0, why, calendar.now()));
  }

  /**
   * Names a record that an alert (row number) could not deal with.
   *
   * @param edition of the reader of records; a later one lets it be tried again
   */
  @Transactional
  public void setAside(int publication, int alert, int edition, String why) {
    LOG.warn("publication {} was set aside by alert {}: {}", publication, alert, why);
    mapper.setAside(
        new CatalogueMapper.NewSetAside(
            publication, mapper.latest(), "alert", alert, edition, why, calendar.now()));
  }

  /** The index looks at these again: what was set aside of them is not so any more. */
  @Transactional
  public void resolve(Collection<Integer> ids) {
    mapper.resolveIndex(ids.toArray(Integer[]::new), calendar.now());
  }

  private static final int DIGESTS_AT_ONCE = 20_000;

  /**
   * The state of every publication that can be found, at its row number; 0 where there is none. A
   * million of them take eight megabytes.
   */
  public long[] digests() {
    long[] digests = new long[mapper.lastRow() + 1];
    List<CatalogueMapper.Digest> page;
    int last = 0;
    do {
      page = mapper.digests(last, DIGESTS_AT_ONCE);
      for (CatalogueMapper.Digest row : page) {
        last = row.id();
        if (last < digests.length) {
          digests[last] = row.digest();
        }
      }
    } while (page.size() == DIGESTS_AT_ONCE);
    return digests;
  }

  /** A publication (row number) and what its values come to. */
  public record State(int id, long digest) {}

  /** The states of some publications, by public id. */
  public Map<String, State> states(Collection<String> pids) {
    return mapper.states(pids.toArray(String[]::new)).stream()
        .collect(
            Collectors.toMap(
                CatalogueMapper.StateRow::pid, row -> new State(row.id(), row.digest())));
  }

  private static final int CHANGES_AT_ONCE = 5000;

  /** Row numbers of all that changed after a number. */
  public RoaringBitmap touchedSince(long after) {
    RoaringBitmap touched = new RoaringBitmap();
    long reached = after;
    List<Change> page;
    do {
      page = changes(reached, Long.MAX_VALUE, CHANGES_AT_ONCE);
      for (Change change : page) {
        touched.add(change.publication());
        reached = change.no();
      }
    } while (page.size() == CHANGES_AT_ONCE);
    return touched;
  }

  /** A record that something could not deal with; {@code what}: the index or an alert. */
  public record SetAside(String id, String title, String what, String why, Instant at) {}

  /** Row numbers of what the index could not take in. */
  public List<Integer> setAsideByIndex() {
    return mapper.setAsideByIndex();
  }

  /** Everything that is set aside now, the last first. */
  public List<SetAside> setAside() {
    return mapper.allSetAside();
  }

  private StoredPublication stored(CatalogueMapper.Row row) {
    return new StoredPublication(
        row.asked(),
        row.id(),
        row.pid(),
        row.grp(),
        row.came(),
        row.withdrawn(),
        json.read(row.fields(), Publication.class),
        row.digest());
  }
}
