package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.exchange.RisWriter;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.review.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A folder as it is read: on the screen and as a file. */
@Service
@Transactional(readOnly = true)
public class FolderReading {
  private final FolderMapper mapper;
  private final Folders folders;
  private final SavedSearches searches;
  private final Publications publications;
  private final Groups groups;
  private final Reviews reviews;
  private final Summaries summaries;
  private final LanternProperties properties;

  /** Who kept it, when and why. */
  public record ReasonGiven(String who, String text, Instant at) {}

  /** A publication in a folder; {@code lamp} is the reader's own. */
  public record FolderItem(Summary publication, String lamp, List<ReasonGiven> reasons) {}

  /** A folder with what is in it. */
  public record FolderView(
      String id, String name, List<FolderItem> items, List<SavedSearch> searches) {}

  /** A folder as a file; {@code name} is the folder's. */
  public record RisFile(String name, String text) {}

  FolderReading(
      FolderMapper mapper,
      Folders folders,
      SavedSearches searches,
      Publications publications,
      Groups groups,
      Reviews reviews,
      Summaries summaries,
      LanternProperties properties) {
    this.mapper = mapper;
    this.folders = folders;
    this.searches = searches;
    this.publications = publications;
    this.groups = groups;
    this.reviews = reviews;
    this.summaries = summaries;
    this.properties = properties;
  }

  public FolderView view(Member who, String pid) {
    FolderMapper.Folder folder = folders.get(who, pid);
    List<FolderMapper.Item> items = items(folder);
    Map<Integer, Stored> stored = stored(items);
    Map<Integer, List<Said>> said = reviews.onPublications(who.group(), stored.keySet());
    Map<Integer, List<ReasonGiven>> reasons = reasons(who, folder);
    Map<Integer, Summary> shown = summaries.of(who, stored.values());
    List<FolderItem> rows =
        items.stream()
            .map(
                item ->
                    new FolderItem(
                        shown.get(item.publication()),
                        Said.lampOf(who, said.getOrDefault(item.publication(), List.of())).word(),
                        reasons.getOrDefault(item.publication(), List.of())))
            .toList();
    return new FolderView(folder.pid(), folder.name(), rows, searches.inFolder(who, folder.id()));
  }

  private Map<Integer, Stored> stored(List<FolderMapper.Item> items) {
    return publications.byId(items.stream().map(FolderMapper.Item::publication).toList()).stream()
        .collect(Collectors.toMap(Stored::id, Function.identity()));
  }

  /** Two that turned out to be one work since are shown once. */
  private List<FolderMapper.Item> items(FolderMapper.Folder folder) {
    Set<Integer> seen = new HashSet<>();
    return mapper.items(folder.id()).stream().filter(i -> seen.add(i.publication())).toList();
  }

  /** By publication. */
  private Map<Integer, List<ReasonGiven>> reasons(Member who, FolderMapper.Folder folder) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.reasons(folder.id()).stream()
        .collect(
            Collectors.groupingBy(
                FolderMapper.Reason::publication,
                Collectors.mapping(
                    r ->
                        new ReasonGiven(
                            names.getOrDefault(r.membership(), "a former member"),
                            r.text(),
                            r.at()),
                    Collectors.toList())));
  }

  /** All items in RIS, in a fixed order; the note of an entry is everybody's reasons. */
  public RisFile ris(Member who, String pid) {
    FolderMapper.Folder folder = folders.get(who, pid);
    List<FolderMapper.Item> items = items(folder);
    Map<Integer, Stored> stored = stored(items);
    Map<Integer, List<ReasonGiven>> reasons = reasons(who, folder);
    List<RisWriter.Item> entries =
        items.stream()
            .map(
                item ->
                    risItem(
                        stored.get(item.publication()),
                        reasons.getOrDefault(item.publication(), List.of())))
            .sorted(Comparator.comparing(RisWriter.Item::key))
            .toList();
    return new RisFile(folder.name(), new RisWriter().write(entries));
  }

  private RisWriter.Item risItem(Stored stored, List<ReasonGiven> reasons) {
    String note =
        reasons.stream()
            .filter(r -> !r.text().isEmpty())
            .map(r -> r.who() + ": " + r.text())
            .collect(Collectors.joining("; "));
    return new RisWriter.Item(
        stored.publication(), stored.pid(), properties.stableLink(stored.pid()), note);
  }
}
