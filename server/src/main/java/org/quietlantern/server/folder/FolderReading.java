package org.quietlantern.server.folder;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A folder as it is read. */
@Service
@Transactional(readOnly = true)
public class FolderReading {
  /** Rows that come with a folder, and that are given at once. */
  private static final int FIRST = 50;

  /** So long the searches of a folder are counted. */
  private static final Duration COUNTING = Duration.ofSeconds(2);

  private static final int MOST_ROWS = 200;

  private final FolderMapper mapper;
  private final Folders folders;
  private final SavedSearches searches;
  private final Publications publications;
  private final Reviews reviews;
  private final Summaries summaries;
  private final Matching matching;
  private final Trail trail;
  private final Json json;

  /**
   * Who kept it, when and why.
   *
   * @param mine whether the reader said it
   * @param q the address of the search it was found by, and {@code search} that search in words;
   *     none where it was not found by a search
   */
  public record ReasonGiven(
      String who,
      boolean mine,
      String text,
      Instant at,
      @Nullable String q,
      @Nullable String search) {}

  /**
   * A publication in a folder.
   *
   * @param lamp the reader's own
   * @param opened whether the reader has opened it
   */
  public record FolderItem(
      Summary publication, String lamp, boolean opened, List<ReasonGiven> reasons) {}

  /**
   * A folder with the first of its items.
   *
   * @param parent the folder in which it lies
   * @param description what it is for; may be empty
   * @param may what the reader may do: {@code read}, {@code remark} or {@code edit}
   * @param closed whether it is for some of the group only
   * @param ids of all its publications, in the order that was asked for
   */
  public record FolderView(
      String id,
      String name,
      boolean pile,
      @Nullable String parent,
      String description,
      String may,
      boolean closed,
      List<String> ids,
      List<FolderItem> items) {}

  /**
   * What is in a folder.
   *
   * @param folder its row number
   * @param works row numbers, each once, in the order that was asked for
   */
  public record Contents(int folder, String name, List<Integer> works) {}

  FolderReading(
      FolderMapper mapper,
      Folders folders,
      SavedSearches searches,
      Publications publications,
      Reviews reviews,
      Summaries summaries,
      Matching matching,
      Trail trail,
      Json json) {
    this.mapper = mapper;
    this.folders = folders;
    this.searches = searches;
    this.publications = publications;
    this.reviews = reviews;
    this.summaries = summaries;
    this.matching = matching;
    this.trail = trail;
    this.json = json;
  }

  /** Every work of a folder; {@code order} as for {@link #view}. */
  public Contents contents(Member who, String pid, String order) {
    FolderMapper.Folder folder = folders.get(who, pid);
    Map<String, Integer> works =
        items(folder).stream()
            .collect(Collectors.toMap(FolderMapper.Item::pid, FolderMapper.Item::publication));
    List<String> listed =
        ids(who, folder, FolderOrder.named(order).orElse(FolderOrder.USUAL)).stream()
            .filter(works::containsKey)
            .toList();
    return new Contents(folder.id(), folder.name(), listed.stream().map(works::get).toList());
  }

  /** With the rows that come first in the order. */
  public FolderView view(Member who, String pid, String order) {
    FolderMapper.Folder folder = folders.get(who, pid);
    FolderOrder wanted = FolderOrder.named(order).orElse(FolderOrder.USUAL);
    List<String> all = ids(who, folder, wanted);
    return new FolderView(
        folder.pid(),
        folder.name(),
        folder.pile(),
        folder.parent(),
        folder.description(),
        folder.may(),
        folder.closed(),
        all,
        rows(who, folder, all.subList(0, Math.min(FIRST, all.size()))));
  }

  /**
   * All works of a folder as members put them.
   *
   * @param folder its row number
   * @param ids public ids of the works
   */
  public record FolderWorks(int folder, String name, boolean pile, String may, List<String> ids) {}

  /** All works of a folder, by hand. */
  public FolderWorks works(Member who, String pid) {
    FolderMapper.Folder folder = folders.get(who, pid);
    return new FolderWorks(
        folder.id(),
        folder.name(),
        folder.pile(),
        folder.may(),
        List.of(mapper.idsByHand(folder.id()).pids()));
  }

  /** The same of one (row number) that is read by its address. */
  public FolderWorks opened(int folder, String name) {
    return new FolderWorks(
        folder, name, false, FolderRight.READ.word(), List.of(mapper.idsByHand(folder).pids()));
  }

  /** The searches that are saved in a folder. */
  public List<SavedSearch> searches(Member who, String pid) {
    return searches.inFolder(who, folders.get(who, pid).id());
  }

  /** How many a saved search finds now; {@code count} absent where it cannot be searched. */
  public record FoundNow(String id, @Nullable Integer count) {}

  /**
   * What the saved searches of a folder find now, all of one state; those that the time did not
   * suffice for are left out.
   */
  public List<FoundNow> foundNow(Member who, String pid) {
    List<SavedSearch> all = searches(who, pid);
    long end = System.nanoTime() + COUNTING.toNanos();
    return matching.look(
        who,
        look ->
            all.stream()
                .takeWhile(search -> System.nanoTime() < end)
                .map(search -> new FoundNow(search.id(), found(look, search)))
                .toList());
  }

  private static @Nullable Integer found(Matching.Look look, SavedSearch search) {
    OptionalInt found = look.found(search.strategy().strategy());
    return found.isPresent() ? found.getAsInt() : null;
  }

  /** Those of these publications that are in the folder, in the order in which they are named. */
  public List<FolderItem> rows(Member who, String pid, List<String> ids) {
    if (ids.size() > MOST_ROWS) {
      throw Refusal.unusable("rows", "At most " + MOST_ROWS + " rows are given at once.");
    }
    return rows(who, folders.get(who, pid), ids);
  }

  private List<FolderItem> rows(Member who, FolderMapper.Folder folder, List<String> ids) {
    Map<String, FolderMapper.Item> byId =
        mapper.some(folder.id(), ids.toArray(String[]::new)).stream()
            .collect(Collectors.toMap(FolderMapper.Item::pid, Function.identity(), (a, b) -> a));
    List<FolderMapper.Item> items = ids.stream().map(byId::get).filter(Objects::nonNull).toList();
    Map<Integer, StoredPublication> stored = stored(who, items);
    Map<Integer, List<CurrentMark>> said = reviews.onPublications(who, stored.keySet());
    Map<Integer, List<ReasonGiven>> reasons = reasons(who, folder, items);
    Map<Integer, Summary> shown = summaries.of(who, stored.values());
    Set<Integer> opened = trail.opened(who, stored.keySet());
    return items.stream()
        .map(
            item ->
                new FolderItem(
                    shown.get(item.publication()),
                    CurrentMark.lampOf(who.id(), said.getOrDefault(item.publication(), List.of()))
                        .word(),
                    opened.contains(item.publication()),
                    reasons.getOrDefault(item.publication(), List.of())))
        .toList();
  }

  /** All works in an order. What the index does not hold (it was withdrawn) comes last. */
  private List<String> ids(Member who, FolderMapper.Folder folder, FolderOrder order) {
    LinkedHashSet<String> ids = new LinkedHashSet<>();
    if (order.indexed() != null) {
      RoaringBitmap works = RoaringBitmap.bitmapOf(mapper.works(folder.id()));
      ids.addAll(matching.look(who, look -> look.snapshot().ordered(works, order.indexed())));
      if (ids.size() == works.getCardinality()) {
        return List.copyOf(ids);
      }
    }
    FolderMapper.Ids own =
        switch (order.own()) {
          case KEPT -> mapper.idsKept(folder.id());
          case HAND -> mapper.idsByHand(folder.id());
          case WHO -> mapper.idsByWho(folder.id());
        };
    List<String> listed = new ArrayList<>(List.of(own.pids()));
    if (order.indexed() == null && order.reverse()) {
      Collections.reverse(listed);
    }
    ids.addAll(listed);
    return List.copyOf(ids);
  }

  private Map<Integer, StoredPublication> stored(Member who, List<FolderMapper.Item> items) {
    return publications
        .byId(Viewer.of(who), items.stream().map(FolderMapper.Item::publication).toList())
        .stream()
        .collect(Collectors.toMap(StoredPublication::id, Function.identity()));
  }

  private List<FolderMapper.Item> items(FolderMapper.Folder folder) {
    return FolderMapper.Item.once(mapper.items(folder.id()));
  }

  private Map<Integer, List<ReasonGiven>> reasons(
      Member who, FolderMapper.Folder folder, List<FolderMapper.Item> items) {
    return reasons(who, folder.id(), items.stream().map(FolderMapper.Item::publication).toList());
  }

  /** Why works are in a folder, by their row numbers; {@code folder}: one that was read before. */
  public Map<Integer, List<ReasonGiven>> reasons(
      Member who, int folder, Collection<Integer> works) {
    return mapper.reasons(folder, works.toArray(Integer[]::new)).stream()
        .collect(
            Collectors.groupingBy(
                FolderMapper.Reason::publication,
                Collectors.mapping(reason -> given(who, reason), Collectors.toList())));
  }

  private ReasonGiven given(Member who, FolderMapper.Reason reason) {
    return new ReasonGiven(
        Optional.ofNullable(reason.name()).orElse("a former member"),
        reason.membership() == who.id(),
        reason.text(),
        reason.at(),
        reason.q(),
        reason.strategy() == null
            ? null
            : trail.spoken(json.read(reason.strategy(), StrategyBody.class).strategy()));
  }
}
