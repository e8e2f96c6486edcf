package org.quietlantern.server.arrival;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Items;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.ReadersApart;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;

/**
 * Marks of members; several made at once are one act. A keep puts the publication into the folder
 * of the round's alert; changing a keep takes it out of every folder in which nobody else kept it,
 * and says so (rule V3).
 */
@Service
public class Marking implements CommandKinds {
  /** Publications that one act marks. */
  static final int MOST = 500;

  private static final int LONGEST_REASON = 4000;
  private final Arrivals arrivals;
  private final Publications publications;
  private final Reviews reviews;
  private final ReadersApart apart;
  private final Items items;
  private final Commands commands;

  private final CommandKind<Marked, AllBefore> mark =
      new CommandKind<>("review.mark", Marked.class, AllBefore.class, this::takeBack);

  private final CommandKind<Marked, AllOut> putOut =
      new CommandKind<>("review.put-out", Marked.class, AllOut.class, this::lightAgain);

  /**
   * What is said of publications.
   *
   * @param publications by their ids; with an occasion behind an {@code @} as they come again
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

  /**
   * A mark that was taken away.
   *
   * @param on the occasion; none in what former versions wrote: the first coming
   * @param keepsIn where a keep would have gone that was decided on apart
   */
  record Out(
      int publication,
      @Nullable String on,
      CurrentMark said,
      List<Items.Taken> taken,
      @Nullable Integer keepsIn) {}

  /** A work that is marked, and on which occasion. */
  private record Arrived(StoredPublication work, Coming on) {
    Reviews.Comes comes() {
      return new Reviews.Comes(work.id(), on);
    }
  }

  record AllOut(List<Out> lamps) {}

  Marking(
      Arrivals arrivals,
      Publications publications,
      Reviews reviews,
      ReadersApart apart,
      Items items,
      Commands commands) {
    this.arrivals = arrivals;
    this.publications = publications;
    this.reviews = reviews;
    this.apart = apart;
    this.items = items;
    this.commands = commands;
  }

  public Marked mark(Member who, UUID command, Given given) {
    return commands.run(who, command, mark, () -> marked(who, command, given));
  }

  private CommandResult<Marked, AllBefore> marked(Member who, UUID command, Given given) {
    Mark said =
        Mark.named(given.mark())
            .orElseThrow(
                () -> Refusal.unusable("mark", "There is no mark “" + given.mark() + "”."));
    if (given.reason().length() > LONGEST_REASON) {
      throw Refusal.unusable("note", "A reason has at most 4,000 characters.");
    }
    RoundMapper.Row round = given.round() == null ? null : arrivals.row(who, given.round());
    Integer folder = round == null ? null : round.folder();
    List<Arrived> arrived = arrived(who, given.publications());
    boolean keeps = said == Mark.KEEP && arrived.stream().anyMatch(one -> one.on().isFirst());
    if (keeps && folder == null) {
      throw Refusal.unusable("folder", "A keep needs a folder.");
    }
    if (keeps && round.folderPid().isEmpty()) {
      throw Refusal.conflict(
          "folder-closed",
          "The folder that this round kept into is for some of the group now; keep it in another.");
    }
    return marked(who, command, arrived, said, given.reason().strip(), folder);
  }

  private List<Arrived> arrived(Member who, List<String> names) {
    Publications.requireSome(names, MOST);
    Map<Coming, List<String>> byOccasion =
        names.stream()
            .map(name -> read(String.valueOf(name)))
            .collect(
                Collectors.groupingBy(
                    Coming.Of::on,
                    LinkedHashMap::new,
                    Collectors.mapping(Coming.Of::work, Collectors.toList())));
    return byOccasion.entrySet().stream()
        .flatMap(
            on ->
                publications.getAll(Viewer.of(who), on.getValue(), MOST).stream()
                    .map(work -> new Arrived(work, on.getKey())))
        .toList();
  }

  private static Coming.Of read(String name) {
    try {
      Coming.Of read = Coming.Of.named(name);
      if (!read.on().occasion().isToReview()) {
        throw Refusal.unusable("publications", "That is only told: there is nothing to mark.");
      }
      return read;
    } catch (NoSuchElementException unknown) {
      throw Refusal.unusable("publications", "There is no such occasion: " + name);
    }
  }

  private CommandResult<Marked, AllBefore> marked(
      Member who,
      UUID command,
      List<Arrived> works,
      Mark said,
      String reason,
      @Nullable Integer folder) {
    Map<Integer, CurrentMark> last =
        reviews.of(who, works.stream().map(one -> one.work().id()).distinct().toList());
    Set<Reviews.Comes> decidedApart = decidedApart(who, works);
    List<Before> before = new ArrayList<>();
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    String kept = "";
    for (Arrived one : works) {
      StoredPublication work = one.work();
      boolean keeps = said == Mark.KEEP && one.on().isFirst();
      if (decidedApart.contains(one.comes())) {
        int event =
            reviews.markApart(who, command, one.comes(), said, reason, keeps ? folder : null);
        notes.add(keeps ? "It comes into the folder when the others have decided." : "");
        before.add(new Before(work.id(), event, null, null, List.of()));
      } else if (keeps) {
        Items.Placed placed = items.place(who, command, folder, work, reason, null);
        kept = placed.folder();
        before.add(new Before(work.id(), placed.event(), folder, placed.reason(), List.of()));
      } else {
        int event = reviews.mark(who, command, one.comes(), said, reason);
        boolean wasKept = last.containsKey(work.id()) && last.get(work.id()).mark() == Mark.KEEP;
        // What comes again leaves its folders where the member decides so.
        boolean leaves = wasKept && (one.on().isFirst() || said == Mark.PASS);
        List<Items.Taken> taken = leaves ? items.withdraw(who.id(), work.id()) : List.of();
        notes.add(Items.sentence(taken));
        before.add(new Before(work.id(), event, null, null, taken));
      }
    }
    notes.remove("");
    Marked answer =
        new Marked(said.word(), said.lamp().word(), kept, String.join(" ", notes), works.size());
    CommandResult<Marked, AllBefore> result =
        done(who, works, decidedApart, CommandResult.of(answer, new AllBefore(before)));
    String was = decidedApart.isEmpty() ? sameBefore(works, last) : "";
    return was.isEmpty() ? result : result.differing(Aspect.MARK, was, said.word());
  }

  private Set<Reviews.Comes> decidedApart(Member who, List<Arrived> works) {
    return apart.among(who.group(), works.stream().map(one -> one.work().id()).distinct().toList());
  }

  /** The mark that all of them had; empty where they had none, or not the same. */
  private static String sameBefore(List<Arrived> works, Map<Integer, CurrentMark> last) {
    List<String> were =
        works.stream()
            .map(
                one ->
                    one.on().isFirst() && last.containsKey(one.work().id())
                        ? last.get(one.work().id()).mark().word()
                        : "")
            .distinct()
            .toList();
    return were.size() == 1 ? were.get(0) : "";
  }

  /** Told to the group, but for works on which one decides apart. */
  private static <B> CommandResult<Marked, B> done(
      Member who,
      List<Arrived> works,
      Set<Reviews.Comes> decidedApart,
      CommandResult<Marked, B> done) {
    List<String> open =
        works.stream()
            .filter(one -> !decidedApart.contains(one.comes()))
            .map(one -> one.work().pid())
            .distinct()
            .toList();
    List<String> all = works.stream().map(one -> one.work().pid()).distinct().toList();
    return done.changing(works.stream().map(one -> changed(who, one)).toList())
        .about(Subject.Of.PUBLICATION, open.isEmpty() ? all : open)
        .toldTo(open.isEmpty() ? Audience.ME : Audience.GROUP);
  }

  private static String changed(Member who, Arrived one) {
    return changed(who, new Coming.Of(Integer.toString(one.work().id()), one.on()));
  }

  /** Names what a member says of a work (row number) on an occasion. */
  static String changed(Member who, Coming.Of marked) {
    return "mark:" + marked.name() + ":" + who.id();
  }

  /** Puts the member's own lamps out, whenever they were lit; a keep leaves its folders, too. */
  public Marked putOut(Member who, UUID command, List<String> ids) {
    return commands.run(who, command, putOut, () -> out(who, command, ids));
  }

  private CommandResult<Marked, AllOut> out(Member who, UUID command, List<String> ids) {
    List<Arrived> works = arrived(who, ids);
    Set<Reviews.Comes> decidedApart = decidedApart(who, works);
    List<Out> out = new ArrayList<>();
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    for (Arrived one : works) {
      int work = one.work().id();
      CurrentMark said = reviews.on(who, one.comes()).orElse(null);
      if (said != null) {
        boolean isApart = decidedApart.contains(one.comes());
        Integer keepsIn = isApart ? apart.keepsIn(who, one.comes()).orElse(null) : null;
        reviews.takeBack(who, command, one.comes());
        boolean leaves = one.on().isFirst() && said.mark() == Mark.KEEP && !isApart;
        List<Items.Taken> taken = leaves ? items.withdraw(who.id(), work) : List.of();
        notes.add(Items.sentence(taken));
        out.add(new Out(work, one.on().text(), said, taken, keepsIn));
      }
    }
    if (out.isEmpty()) {
      throw Refusal.conflict("changed-since", "Your lamp is not lit there.");
    }
    notes.remove("");
    Marked answer = new Marked("", Lamp.UNLIT.word(), "", String.join(" ", notes), out.size());
    return done(who, works, decidedApart, CommandResult.of(answer, new AllOut(out)));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(mark, putOut);
  }

  private String lightAgain(Member who, UUID command, AllOut before) {
    Set<Reviews.Comes> decidedApart =
        apart.among(who.group(), before.lamps().stream().map(Out::publication).distinct().toList());
    for (Out one : before.lamps()) {
      Coming on = one.on() == null ? Coming.FIRST : Coming.of(one.on());
      Reviews.Comes comes = new Reviews.Comes(one.publication(), on);
      if (decidedApart.contains(comes)) {
        reviews.sayAgainApart(who, command, comes, one.said(), one.keepsIn());
      } else {
        reviews.sayAgain(who, command, comes, one.said());
        keepsAgain(who, one);
      }
      one.taken().forEach(items::putBack);
    }
    return "";
  }

  /** What was put out before it was opened goes into its folder now. */
  private void keepsAgain(Member who, Out one) {
    if (one.keepsIn() != null) {
      publications
          .byId(Viewer.of(who), List.of(one.publication()))
          .forEach(work -> items.carryOut(who.id(), one.keepsIn(), work, one.said().reason()));
    }
  }

  private String takeBack(Member who, UUID command, AllBefore before) {
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    for (Before one : before.marks()) {
      reviews.takeBack(who, command, one.publication(), one.event());
      if (one.folder() != null && one.reason() != null) {
        notes.add(items.removeReason(who, one.folder(), one.publication(), one.reason()));
      }
      apart
          .carried(one.event())
          .ifPresent(
              put ->
                  notes.add(
                      items.removeReason(who, put.folder(), one.publication(), put.reason())));
      one.taken().forEach(items::putBack);
    }
    notes.remove("");
    return String.join(" ", notes);
  }
}
