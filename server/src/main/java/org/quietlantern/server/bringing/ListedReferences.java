package org.quietlantern.server.bringing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.reference.ReferenceList;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.task.TaskLists;
import org.quietlantern.server.task.Tasks;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks up the references of a paper as they were pasted: which are here, and which are not. */
@Service
@Transactional(readOnly = true)
class ListedReferences {
  private final Publications publications;
  private final Folders folders;
  private final TaskLists tasks;

  /**
   * An entry of a list.
   *
   * @param text as it was pasted
   * @param doi empty where it has none
   * @param fit {@code sure} or {@code perhaps}; absent where nothing here is like it
   * @param folders that hold the work
   * @param task id of one that is open to look it up
   */
  record ListedShown(
      String text,
      String doi,
      @Nullable String fit,
      @Nullable String publication,
      @Nullable BroughtViews.BesideShown work,
      List<Folders.FolderName> folders,
      @Nullable String task) {}

  /** {@code most}: entries that are read of a list; the last where there were more. */
  record ListShown(List<ListedShown> entries, int most) {}

  ListedReferences(Publications publications, Folders folders, TaskLists tasks) {
    this.publications = publications;
    this.folders = folders;
    this.tasks = tasks;
  }

  /** {@code pasted}: at most a million letters. */
  ListShown look(Member who, String pasted) {
    if (pasted.length() > ReferenceList.LONGEST) {
      throw Refusal.unusable(
          "too-long", "A list has at most %,d letters.".formatted(ReferenceList.LONGEST));
    }
    List<ReferenceList.Listed> listed = ReferenceList.read(Text.legal(pasted));
    Viewer viewer = Viewer.of(who);
    Map<String, List<Integer>> byKey =
        publications.withKeys(viewer, listed.stream().flatMap(ListedReferences::keys).toList());
    Map<String, StoredPublication> byLink =
        publications.byAskedPid(
            viewer,
            listed.stream().map(ReferenceList.Listed::link).filter(l -> !l.isEmpty()).toList());
    Map<Integer, StoredPublication> works =
        publications.byAsked(viewer, byKey.values().stream().flatMap(List::stream).toList());
    List<Match> matches = listed.stream().map(entry -> match(entry, byKey, byLink, works)).toList();
    return new ListShown(shown(who, listed, matches), ReferenceList.MOST);
  }

  /** What an entry is; {@code work}: absent where nothing here is like it. */
  private record Match(@Nullable StoredPublication work, @Nullable ReferenceList.Fit fit) {
    static final Match NONE = new Match(null, null);
  }

  private static Stream<String> keys(ReferenceList.Listed entry) {
    return Stream.concat(
        Stream.of(entry.doi()).filter(doi -> !doi.isEmpty()).map(SameWork::doiKey),
        entry.titles().stream());
  }

  /** A link is surest, then a DOI; of titles the one that fits surely, else the first. */
  private static Match match(
      ReferenceList.Listed entry,
      Map<String, List<Integer>> byKey,
      Map<String, StoredPublication> byLink,
      Map<Integer, StoredPublication> works) {
    StoredPublication linked = byLink.get(entry.link());
    if (linked != null) {
      return new Match(linked, ReferenceList.Fit.SURE);
    }
    Match perhaps = Match.NONE;
    for (String key : keys(entry).toList()) {
      for (Integer id : byKey.getOrDefault(key, List.of())) {
        StoredPublication work = works.get(id);
        if (work != null && !work.withdrawn()) {
          boolean sure =
              key.startsWith("doi:")
                  || ReferenceList.fit(entry, work.publication()) == ReferenceList.Fit.SURE;
          if (sure) {
            return new Match(work, ReferenceList.Fit.SURE);
          }
          perhaps = perhaps.work() == null ? new Match(work, ReferenceList.Fit.PERHAPS) : perhaps;
        }
      }
    }
    return perhaps;
  }

  private List<ListedShown> shown(
      Member who, List<ReferenceList.Listed> listed, List<Match> matches) {
    Map<Integer, List<Folders.FolderName>> held =
        folders.holding(
            who,
            matches.stream()
                .filter(match -> match.work() != null)
                .map(match -> match.work().id())
                .collect(Collectors.toSet()));
    Map<String, String> open =
        tasks.open(
            who,
            listed.stream().map(ReferenceList.Listed::doi).toList(),
            listed.stream().map(entry -> Text.atMost(Tasks.LONGEST - 1, entry.text())).toList());
    List<ListedShown> shown = new ArrayList<>();
    for (int i = 0; i < listed.size(); i++) {
      ReferenceList.Listed entry = listed.get(i);
      StoredPublication work = matches.get(i).work();
      ReferenceList.Fit fit = matches.get(i).fit();
      String byDoi = open.get(entry.doi().toLowerCase(Locale.ROOT));
      shown.add(
          new ListedShown(
              entry.text(),
              entry.doi(),
              fit == null ? null : fit.name().toLowerCase(Locale.ROOT),
              work == null ? null : work.pid(),
              work == null ? null : BroughtViews.BesideShown.of(work.publication()),
              work == null ? List.of() : held.getOrDefault(work.id(), List.of()),
              byDoi != null ? byDoi : open.get(Text.atMost(Tasks.LONGEST - 1, entry.text()))));
    }
    return shown;
  }
}
