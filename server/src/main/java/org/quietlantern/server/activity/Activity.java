package org.quietlantern.server.activity;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.quietlantern.core.activity.Deed;
import org.quietlantern.core.activity.Wording;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.Happenings;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.action.Undoing;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was done, line by line: in a group, in a folder, with a publication. */
@Service
@Transactional(readOnly = true)
public class Activity {
  private static final int A_PAGE = 50;
  private final Happenings happenings;
  private final Naming naming;
  private final Undoing undoing;
  private final Folders folders;
  private final SavedSearches searches;
  private final Alerts alerts;
  private final Publications publications;

  /**
   * A line.
   *
   * @param id of the command
   * @param changed what of it was how before; empty where that is not told
   * @param undone whether it was taken back
   * @param undoable whether the reader did it and may try to take it back
   */
  public record ActivityLine(
      UUID id, DeedShown deed, List<DifferenceShown> changed, boolean undone, boolean undoable) {}

  /**
   * What was changed.
   *
   * @param of in words
   * @param was how it was; empty: nothing
   * @param is how it is since; empty: nothing
   */
  public record DifferenceShown(String of, String was, String is) {}

  /**
   * A page, the latest first.
   *
   * @param name of what it is about; absent where it is about the whole group
   * @param next the line to go on behind; absent on the last page
   */
  public record ActivityPage(
      @Nullable String name, List<ActivityLine> lines, @Nullable UUID next) {}

  Activity(
      Happenings happenings,
      Naming naming,
      Undoing undoing,
      Folders folders,
      SavedSearches searches,
      Alerts alerts,
      Publications publications) {
    this.happenings = happenings;
    this.naming = naming;
    this.undoing = undoing;
    this.folders = folders;
    this.searches = searches;
    this.alerts = alerts;
    this.publications = publications;
  }

  ActivityPage page(Member who, String of, @Nullable UUID before) {
    Subject subject = of.isEmpty() ? null : Subject.read(of).orElseThrow(() -> unusable(of));
    String name = subject == null ? null : name(who, subject);
    List<Happenings.Done> found = happenings.page(who, Wording.UNTOLD, subject, before, A_PAGE + 1);
    boolean more = found.size() > A_PAGE;
    List<Happenings.Done> done = more ? found.subList(0, A_PAGE) : found;
    Naming.Told told =
        naming.told(
            who,
            done.stream().map(one -> deed(one).orElseGet(() -> unnamed(one))).toList(),
            done.stream().map(Happenings.Done::differences).toList());
    List<ActivityLine> lines =
        IntStream.range(0, done.size())
            .mapToObj(at -> line(who, done.get(at), told.deeds().get(at), told.changed().get(at)))
            .toList();
    return new ActivityPage(name, lines, more ? done.get(A_PAGE - 1).command() : null);
  }

  private ActivityLine line(
      Member who, Happenings.Done done, DeedShown deed, List<DifferenceShown> changed) {
    boolean mine = done.who() != null && done.who() == who.id();
    return new ActivityLine(
        done.command(),
        deed,
        changed,
        done.undone(),
        mine && !done.undone() && canBeUndone(done.what()));
  }

  private boolean canBeUndone(String what) {
    CommandKind<?, ?> kind = undoing.kinds().get(what);
    return kind != null && kind.before() != CommandKind.Nothing.class;
  }

  private static Refusal unusable(String of) {
    return Refusal.unusable("of", "There is no activity of “" + of + "”.");
  }

  /** Unknown where the member may not see it. */
  private String name(Member who, Subject subject) {
    String id = subject.id();
    Map<String, String> names =
        switch (subject.of()) {
          case FOLDER -> folders.names(who, List.of(id));
          case SEARCH -> searches.names(who, List.of(id));
          case ALERT -> alerts.names(who, List.of(id));
          case PUBLICATION ->
              Map.of(id, publications.get(Viewer.of(who), id).publication().title());
          default -> throw unusable(subject.of().word());
        };
    return Optional.ofNullable(names.get(id)).orElseThrow(Refusal::unknown);
  }

  /** As it is told; empty for a kind that has no words. */
  public static Optional<Deed> deed(Happenings.Done done) {
    return Wording.of(done.what(), done.said()).map(words -> deed(done, words));
  }

  private static Deed unnamed(Happenings.Done done) {
    return deed(done, "did something with {publications}");
  }

  private static Deed deed(Happenings.Done done, String words) {
    return new Deed(
        Optional.ofNullable(done.who()),
        words,
        done.about().stream()
            .filter(one -> one.of() != Subject.Of.PUBLICATION)
            .map(one -> new Deed.Thing(one.of().word(), one.id()))
            .toList(),
        done.about().stream()
            .filter(one -> one.of() == Subject.Of.PUBLICATION)
            .map(Subject::id)
            .distinct()
            .toList(),
        1,
        done.at());
  }
}
