package org.quietlantern.server.arrival;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoable;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.folder.Items;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.review.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Marks of members; several made at once are one act. A keep puts the publication into the folder
 * of the round's alert; changing a keep takes it out of every folder in which nobody else kept it,
 * and says so (rule V3).
 */
@Service
public class Marking implements Undoable {
  private static final String WHAT = "review.mark";
  private static final String PUT_OUT = "review.put-out";

  /** Publications that one act marks. */
  static final int MOST = 500;

  private static final int LONGEST_REASON = 4000;
  private final Arrivals arrivals;
  private final Publications publications;
  private final Reviews reviews;
  private final Items items;
  private final Commands commands;

  /**
   * What is said of publications.
   *
   * @param round where the mark is made; needed for a keep, whose folder it decides
   */
  public record Given(
      List<String> publications, String mark, String reason, @Nullable String round) {}

  /**
   * What marks came to.
   *
   * @param folder name of the folder they were kept in; empty for other marks
   * @param note what became of a keep that was changed; else empty
   * @param publications how many were marked
   */
  public record Marked(String mark, String lamp, String folder, String note, int publications) {}

  /** What an undo needs to know of one mark; row numbers. */
  record Before(
      int publication,
      int event,
      @Nullable Integer folder,
      @Nullable Integer reason,
      List<Items.Taken> taken) {}

  record AllBefore(List<Before> marks) {}

  /** A mark that was taken away. */
  record Out(int publication, Said said, List<Items.Taken> taken) {}

  record AllOut(List<Out> lamps) {}

  Marking(
      Arrivals arrivals,
      Publications publications,
      Reviews reviews,
      Items items,
      Commands commands) {
    this.arrivals = arrivals;
    this.publications = publications;
    this.reviews = reviews;
    this.items = items;
    this.commands = commands;
  }

  @Transactional
  public Marked mark(Member who, UUID command, Given given) {
    Mark mark =
        Mark.named(given.mark())
            .orElseThrow(
                () -> Refusal.unusable("mark", "There is no mark “" + given.mark() + "”."));
    if (given.reason().length() > LONGEST_REASON) {
      throw Refusal.unusable("note", "A reason has at most 4,000 characters.");
    }
    Integer folder = given.round() == null ? null : arrivals.row(who, given.round()).folder();
    if (mark == Mark.KEEP && folder == null) {
      throw Refusal.unusable("folder", "A keep needs a folder.");
    }
    List<Stored> stored = publications.getAll(given.publications(), MOST);
    return commands.run(
        who,
        command,
        WHAT,
        Marked.class,
        () -> marked(who, command, stored, mark, given.reason().strip(), folder));
  }

  private Done<Marked> marked(
      Member who,
      UUID command,
      List<Stored> works,
      Mark mark,
      String reason,
      @Nullable Integer folder) {
    List<Before> before = new ArrayList<>();
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    String kept = "";
    for (Stored work : works) {
      if (mark == Mark.KEEP) {
        Items.Placed placed = items.place(who, command, folder, work, reason, null);
        kept = placed.folder();
        before.add(new Before(work.id(), placed.event(), folder, placed.reason(), List.of()));
      } else {
        Optional<Said> last = reviews.of(who, work.id());
        int event = reviews.mark(who, command, work.id(), mark, reason);
        boolean wasKept = last.map(said -> said.mark() == Mark.KEEP).orElse(false);
        List<Items.Taken> taken = wasKept ? items.withdraw(who, work.id()) : List.of();
        notes.add(Items.sentence(taken));
        before.add(new Before(work.id(), event, null, null, taken));
      }
    }
    notes.remove("");
    return new Done<>(
        works.stream().map(work -> "mark:" + work.id() + ":" + who.id()).toList(),
        new AllBefore(before),
        Map.of("mark", mark.word(), "publications", works.stream().map(Stored::pid).toList()),
        new Marked(mark.word(), mark.lamp().word(), kept, String.join(" ", notes), works.size()));
  }

  /** Puts the member's own lamps out, whenever they were lit; a keep leaves its folders, too. */
  @Transactional
  public Marked putOut(Member who, UUID command, List<String> ids) {
    List<Stored> works = publications.getAll(ids, MOST);
    return commands.run(who, command, PUT_OUT, Marked.class, () -> out(who, command, works));
  }

  private Done<Marked> out(Member who, UUID command, List<Stored> works) {
    List<Out> out = new ArrayList<>();
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    for (Stored work : works) {
      Said said = reviews.of(who, work.id()).orElse(null);
      if (said != null) {
        reviews.takeBack(who, command, work.id(), null);
        List<Items.Taken> taken =
            said.mark() == Mark.KEEP ? items.withdraw(who, work.id()) : List.of();
        notes.add(Items.sentence(taken));
        out.add(new Out(work.id(), said, taken));
      }
    }
    if (out.isEmpty()) {
      throw Refusal.conflict("changed-since", "Your lamp is not lit there.");
    }
    notes.remove("");
    return new Done<>(
        works.stream().map(work -> "mark:" + work.id() + ":" + who.id()).toList(),
        new AllOut(out),
        Map.of("publications", works.stream().map(Stored::pid).toList()),
        new Marked("", Lamp.UNLIT.word(), "", String.join(" ", notes), out.size()));
  }

  @Override
  public List<Undoer<?>> undoers() {
    return List.of(
        new Undoer<>(WHAT, AllBefore.class, this::takeBack),
        new Undoer<>(PUT_OUT, AllOut.class, this::lightAgain));
  }

  private String lightAgain(Member who, UUID command, AllOut before) {
    for (Out one : before.lamps()) {
      reviews.sayAgain(who, command, one.publication(), one.said());
      one.taken().forEach(items::putBack);
    }
    return "";
  }

  private String takeBack(Member who, UUID command, AllBefore before) {
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    for (Before one : before.marks()) {
      reviews.takeBack(who, command, one.publication(), one.event());
      if (one.folder() != null && one.reason() != null) {
        notes.add(items.removeReason(who, one.folder(), one.publication(), one.reason()));
      }
      one.taken().forEach(items::putBack);
    }
    notes.remove("");
    return String.join(" ", notes);
  }
}
