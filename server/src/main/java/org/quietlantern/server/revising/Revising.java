package org.quietlantern.server.revising;

import java.util.List;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Comparison;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.alert.Following;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/** Changing a saved search: what that gains and loses is known before it is saved (rule N7). */
@Service
public class Revising implements CommandKinds {
  /** Titles shown of what is gained, and of what is lost. */
  private static final int NAMED = 8;

  private final Revisions revisions;
  private final Following following;
  private final Publications publications;
  private final Groups groups;
  private final Matching matching;
  private final Commands commands;
  private final Json json;

  private final CommandKind<RevisionSaved, Before> save =
      new CommandKind<>("search.revise", RevisionSaved.class, Before.class, this::takeBack);

  /**
   * What a change would do.
   *
   * @param n the revision that it would follow
   * @param now what that one finds now
   * @param next what the changed one finds
   */
  public record ChangeShown(int n, int now, int next, SideShown gained, SideShown lost) {}

  /** {@code titles}: of those that came here last. */
  public record SideShown(int count, List<Titled> titles) {}

  /** A publication by its title. */
  public record Titled(String id, String title) {}

  /** A revision just saved. */
  public record RevisionSaved(int n, int count, int gained, int lost) {}

  /**
   * A change as a member saves it.
   *
   * @param n the revision that the member saw in force
   * @param announce whether an alert shows what is gained in its round
   */
  public record Draft(int n, Strategy strategy, String comment, boolean announce) {}

  /** Row numbers of revisions. */
  record Before(String search, int from, int to) {}

  Revising(
      Revisions revisions,
      Following following,
      Publications publications,
      Groups groups,
      Matching matching,
      Commands commands,
      Json json) {
    this.revisions = revisions;
    this.following = following;
    this.publications = publications;
    this.groups = groups;
    this.matching = matching;
    this.commands = commands;
    this.json = json;
  }

  /** What saving a strategy as the next revision would gain and lose, now. */
  public ChangeShown preview(Member who, String search, Strategy strategy) {
    Revisions.Revision last = revisions.latest(who, search);
    return matching.look(
        who,
        look -> {
          Comparison found = compare(look, last, strategy);
          return new ChangeShown(
              last.n(),
              found.common() + found.lost().count(),
              found.common() + found.gained().count(),
              shown(who, found.gained()),
              shown(who, found.lost()));
        });
  }

  private static Comparison compare(
      Matching.Look look, Revisions.Revision last, Strategy strategy) {
    return Comparison.of(
        look.snapshot(), look.compile(last.strategy().strategy()), look.compile(strategy), NAMED);
  }

  private SideShown shown(Member who, Comparison.Part part) {
    return new SideShown(
        part.count(),
        publications.byPid(Viewer.of(who), part.newest()).stream()
            .map(stored -> new Titled(stored.pid(), stored.publication().title()))
            .toList());
  }

  /** Saves the next revision; an alert follows it. */
  public RevisionSaved save(Member who, UUID command, String search, Draft draft) {
    String comment = Remarking.cleaned(draft.comment());
    return commands.run(
        who,
        command,
        save,
        () -> draw(who, search, draft, comment),
        next -> make(who, search, draft, next));
  }

  /** A revision that is about to be saved; {@code after}: the row number of the one before it. */
  private record Next(int after, Revisions.Made made, Following.Compared compared) {}

  private Next draw(Member who, String search, Draft draft, String comment) {
    Revisions.Revision last = inForce(who, search, draft);
    StrategyBody body = StrategyBody.of(draft.strategy());
    if (body.equals(last.strategy())) {
      throw Refusal.conflict("nothing-changed", "The lines are those of the last revision.");
    }
    return matching.look(
        who,
        publications.latest(),
        look -> {
          Following.Compared compared =
              Following.compared(look, last.strategy().strategy(), draft.strategy());
          Revisions.Made made =
              new Revisions.Made(
                  json.write(body),
                  compared.byNext().getCardinality(),
                  RoaringBitmap.andNotCardinality(compared.byNext(), compared.byFormer()),
                  RoaringBitmap.andNotCardinality(compared.byFormer(), compared.byNext()),
                  look.asOf(),
                  comment);
          return new Next(last.row(), made, compared);
        });
  }

  /** The revision that the member saw, if it still is the last one. */
  private Revisions.Revision inForce(Member who, String search, Draft draft) {
    Revisions.Revision last = revisions.latest(who, search);
    if (last.n() != draft.n()) {
      throw Refusal.conflict(
          "changed-since",
          "%s saved revision %d meanwhile. Look at it, then save yours after it."
              .formatted(groups.names(who.group()).get(last.membership()), last.n()));
    }
    return last;
  }

  private CommandResult<RevisionSaved, Before> make(
      Member who, String search, Draft draft, Next next) {
    Revisions.Revision last = inForce(who, search, draft);
    Revisions.Made made = next.made();
    if (made.comment().isEmpty() && revisions.documented(search).isPresent()) {
      throw Refusal.unusable("reason-needed", "This search is documented: say why it is changed.");
    }
    int n = last.n() + 1;
    int row = revisions.add(who, search, n, made).orElseThrow();
    following.follow(next.after(), row, next.compared(), draft.announce());
    return CommandResult.of(
            new RevisionSaved(n, made.count(), made.gained(), made.lost()),
            new Before(search, last.row(), row))
        .changing(Subject.Of.SEARCH, search)
        .differing(Aspect.FOUND, last.count(), made.count());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(save);
  }

  private String takeBack(Member who, UUID command, Before before) {
    if (following.hasFound(before.to())) {
      throw Refusal.conflict(
          "changed-since", "The alert has found something by this revision, so it stays.");
    }
    Strategy former = strategy(who, before.search(), before.from());
    Strategy later = strategy(who, before.search(), before.to());
    Following.Compared compared =
        matching.look(who, publications.latest(), look -> Following.compared(look, later, former));
    following.follow(before.to(), before.from(), compared, false);
    revisions.remove(before.to());
    return "";
  }

  private Strategy strategy(Member who, String search, int row) {
    return revisions.of(who, search).stream()
        .filter(revision -> revision.row() == row)
        .findFirst()
        .orElseThrow()
        .strategy()
        .strategy();
  }
}
