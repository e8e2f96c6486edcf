package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.exchange.RisWriter;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A folder as it is read: on the screen and as a file. */
@Service
@Transactional(readOnly = true)
public class FolderReading {
  /** Items on a page. */
  private static final int PAGE = 200;

  private final FolderMapper mapper;
  private final Folders folders;
  private final SavedSearches searches;
  private final Publications publications;
  private final Reviews reviews;
  private final Summaries summaries;
  private final Trail trail;
  private final Json json;
  private final LanternProperties properties;

  /**
   * Who kept it, when and why.
   *
   * @param q the address of the search it was found by, and {@code search} that search in words;
   *     none where it was not found by a search
   */
  public record ReasonGiven(
      String who, String text, Instant at, @Nullable String q, @Nullable String search) {}

  /** A publication in a folder; {@code lamp} is the reader's own. */
  public record FolderItem(Summary publication, String lamp, List<ReasonGiven> reasons) {}

  /**
   * A folder with a page of its items.
   *
   * @param parent the folder in which it lies
   * @param total items of all pages
   */
  public record FolderView(
      String id,
      String name,
      boolean pile,
      @Nullable String parent,
      int total,
      List<FolderItem> items,
      List<SavedSearch> searches) {}

  /** A folder as a file; {@code name} is the folder's. */
  public record RisFile(String name, String text) {}

  FolderReading(
      FolderMapper mapper,
      Folders folders,
      SavedSearches searches,
      Publications publications,
      Reviews reviews,
      Summaries summaries,
      Trail trail,
      Json json,
      LanternProperties properties) {
    this.mapper = mapper;
    this.folders = folders;
    this.searches = searches;
    this.publications = publications;
    this.reviews = reviews;
    this.summaries = summaries;
    this.trail = trail;
    this.json = json;
    this.properties = properties;
  }

  /** {@code from}: items before the page. */
  public FolderView view(Member who, String pid, int from) {
    FolderMapper.Folder folder = folders.get(who, pid);
    List<FolderMapper.Item> all = items(folder);
    int start = Math.min(Math.max(from, 0), all.size());
    List<FolderMapper.Item> items = all.subList(start, Math.min(start + PAGE, all.size()));
    Map<Integer, StoredPublication> stored = stored(who, items);
    Map<Integer, List<CurrentMark>> said = reviews.onPublications(who.group(), stored.keySet());
    Map<Integer, List<ReasonGiven>> reasons = reasons(folder, items);
    Map<Integer, Summary> shown = summaries.of(who, stored.values());
    List<FolderItem> rows =
        items.stream()
            .map(
                item ->
                    new FolderItem(
                        shown.get(item.publication()),
                        CurrentMark.lampOf(who, said.getOrDefault(item.publication(), List.of()))
                            .word(),
                        reasons.getOrDefault(item.publication(), List.of())))
            .toList();
    return new FolderView(
        folder.pid(),
        folder.name(),
        folder.pile(),
        folder.parent(),
        all.size(),
        rows,
        searches.inFolder(who, folder.id()));
  }

  private Map<Integer, StoredPublication> stored(Member who, List<FolderMapper.Item> items) {
    return publications
        .byId(Viewer.of(who), items.stream().map(FolderMapper.Item::publication).toList())
        .stream()
        .collect(Collectors.toMap(StoredPublication::id, Function.identity()));
  }

  /** Two that turned out to be one work since are shown once. */
  private List<FolderMapper.Item> items(FolderMapper.Folder folder) {
    Set<Integer> seen = new HashSet<>();
    return mapper.items(folder.id()).stream().filter(i -> seen.add(i.publication())).toList();
  }

  /** By publication. */
  private Map<Integer, List<ReasonGiven>> reasons(
      FolderMapper.Folder folder, List<FolderMapper.Item> items) {
    Integer[] works = items.stream().map(FolderMapper.Item::publication).toArray(Integer[]::new);
    return mapper.reasons(folder.id(), works).stream()
        .collect(
            Collectors.groupingBy(
                FolderMapper.Reason::publication,
                Collectors.mapping(this::given, Collectors.toList())));
  }

  private ReasonGiven given(FolderMapper.Reason reason) {
    return new ReasonGiven(
        Optional.ofNullable(reason.name()).orElse("a former member"),
        reason.text(),
        reason.at(),
        reason.q(),
        reason.strategy() == null
            ? null
            : trail.spoken(json.read(reason.strategy(), StrategyBody.class).strategy()));
  }

  /** All items in RIS, in a fixed order; the note of an entry is everybody's reasons. */
  public RisFile ris(Member who, String pid) {
    FolderMapper.Folder folder = folders.get(who, pid);
    List<FolderMapper.Item> items = items(folder);
    List<RisWriter.Item> entries = new ArrayList<>();
    for (int start = 0; start < items.size(); start += PAGE) {
      List<FolderMapper.Item> page = items.subList(start, Math.min(start + PAGE, items.size()));
      Map<Integer, StoredPublication> stored = stored(who, page);
      Map<Integer, List<ReasonGiven>> reasons = reasons(folder, page);
      page.forEach(
          item ->
              entries.add(
                  risItem(
                      stored.get(item.publication()),
                      reasons.getOrDefault(item.publication(), List.of()))));
    }
    entries.sort(Comparator.comparing(RisWriter.Item::key));
    return new RisFile(folder.name(), new RisWriter().write(entries));
  }

  private RisWriter.Item risItem(StoredPublication stored, List<ReasonGiven> reasons) {
    String note =
        reasons.stream()
            .filter(r -> !r.text().isEmpty())
            .map(r -> r.who() + ": " + r.text())
            .collect(Collectors.joining("; "));
    return new RisWriter.Item(
        stored.publication(), stored.pid(), properties.stableLink(stored.pid()), note);
  }
}
