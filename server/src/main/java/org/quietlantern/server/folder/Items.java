package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Publications in folders: each once, with everybody's reasons. Parts of commands. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class Items {
  private final FolderMapper mapper;
  private final Reviews reviews;
  private final Calendar calendar;

  /**
   * What keeping came to.
   *
   * @param already it was in the folder before
   * @param keeper who had kept it first
   * @param reason row number of the reason added; none if nothing was added
   * @param event number of the mark made by it; none where it says nothing
   */
  public record Placed(
      String folderId,
      String folder,
      boolean already,
      String keeper,
      List<String> elsewhere,
      @Nullable Integer reason,
      @Nullable Integer event) {}

  /** What was put back, for taking it out again; row numbers, {@code reasons}: those added. */
  public record Returned(int folder, int publication, List<Integer> reasons) {}

  /** A reason as it was given; row numbers. {@code byGroup}: absent before there were meetings. */
  public record ReasonKept(
      int id,
      int membership,
      @Nullable Integer step,
      String text,
      Instant at,
      @Nullable Boolean byGroup) {
    public ReasonKept {
      byGroup = Boolean.TRUE.equals(byGroup);
    }
  }

  /**
   * What was taken out of a folder, so that it can be put back as it was.
   *
   * @param at when the item came into the folder
   * @param reasons those that were taken away
   * @param place in the order by hand; absent for nowhere, and in what was noted before there was
   *     one
   * @param stays who else kept it there, so that it stays; empty: it is gone from the folder
   */
  public record Taken(
      int folder,
      String folderName,
      int publication,
      Instant at,
      List<ReasonKept> reasons,
      String stays,
      @Nullable Double place) {}

  Items(FolderMapper mapper, Reviews reviews, Calendar calendar) {
    this.mapper = mapper;
    this.reviews = reviews;
    this.calendar = calendar;
  }

  /** Keeps a publication in a folder of the group (row number); that is the verdict <i>keep</i>. */
  public Placed place(
      Member who,
      UUID command,
      int folderId,
      StoredPublication stored,
      String note,
      @Nullable Integer step) {
    Placed p = put(who, folderId, stored, note, step);
    int event = reviews.mark(who, command, stored.id(), Mark.KEEP, note);
    return new Placed(
        p.folderId(), p.folder(), p.already(), p.keeper(), p.elsewhere(), p.reason(), event);
  }

  /** Puts a publication into a folder without saying anything of it. */
  Placed put(
      Member who, int folderId, StoredPublication stored, String note, @Nullable Integer step) {
    FolderMapper.Folder folder = mapper.byId(who.id(), folderId);
    Added added = add(who.id(), folderId, stored, note, step);
    List<String> elsewhere =
        mapper.keptIn(who.id(), new Integer[] {stored.id()}).stream()
            .filter(k -> !k.pid().equals(folder.pid()))
            .map(FolderMapper.KeptIn::name)
            .toList();
    return new Placed(
        folder.pid(),
        folder.name(),
        added.already(),
        mapper.keeper(folder.id(), stored.id()),
        elsewhere,
        added.reason(),
        null);
  }

  /** {@code already}: it was in the folder before; {@code reason}: that was added, if one was. */
  record Added(boolean already, @Nullable Integer reason) {}

  /** Where a keep that was decided on before is put now; row numbers. */
  public record CarriedOut(int folder, int reason) {}

  /**
   * Carries out a keep of a member (row number) that was decided on before; empty where there is
   * nothing to do: the folder is no more, or they kept the work there already.
   */
  public Optional<CarriedOut> carryOut(
      int member, int folder, StoredPublication stored, String note) {
    Integer living = mapper.living(folder);
    Integer reason = living == null ? null : add(member, living, stored, note, null).reason();
    return Optional.ofNullable(reason).map(added -> new CarriedOut(living, added));
  }

  /** What the group decided to keep; {@code by}: row number of who writes that down. */
  public CarriedOut keepForGroup(int by, int folder, StoredPublication stored, String note) {
    Instant now = calendar.now();
    Integer held = mapper.findItem(folder, stored.id());
    int item = held != null ? held : item(folder, stored.id(), now);
    return new CarriedOut(folder, mapper.addReasonOfGroup(item, by, note, now));
  }

  /** Puts a publication into a folder for a member, and tells nothing beside. */
  Added add(int member, int folder, StoredPublication stored, String note, @Nullable Integer step) {
    Instant now = calendar.now();
    Integer held = mapper.findItem(folder, stored.id());
    int item = held != null ? held : item(folder, stored.id(), now);
    boolean saidBefore = mapper.gaveReason(item, member, note);
    boolean adds = !saidBefore && (held == null || !note.isEmpty() || !mapper.kept(item, member));
    Integer reason = adds ? mapper.addReason(item, member, step, note, now) : null;
    return new Added(held != null, reason);
  }

  private int item(int folder, int publication, Instant at) {
    Integer made = mapper.addItem(folder, publication, at);
    return made != null ? made : mapper.findItem(folder, publication);
  }

  /** Takes one reason back, and the item with its last reason. Answers what stays and why. */
  public String removeReason(Member who, int folder, int publication, int reason) {
    if (mapper.removeReasonIn(folder, reason) == 0) {
      return "It is not in the folder any more.";
    }
    if (mapper.removeItem(folder, publication) > 0) {
      return "";
    }
    String keeper = mapper.keeper(folder, publication);
    return keeper == null || keeper.equals(who.name())
        ? ""
        : "It stays in the folder: " + keeper + " kept it too.";
  }

  /**
   * Takes back that a member (row number) kept a work, in every folder of the group: it leaves
   * those in which nobody else kept it (rule V3).
   */
  public List<Taken> withdraw(int member, int publication) {
    return mapper.keptBy(member, publication).stream().map(item -> take(item, member)).toList();
  }

  /** Takes a work out of a folder, whoever kept it there. Empty if it is not in it. */
  public List<Taken> takeOut(int folder, int publication) {
    return mapper.itemsOf(folder, publication).stream().map(item -> take(item, null)).toList();
  }

  /** What is in a folder of a work, without taking it out. Empty if it is not in it. */
  List<Taken> held(int folder, int publication) {
    return mapper.itemsOf(folder, publication).stream()
        .map(item -> taken(item, mapper.reasonsOf(item.id()), ""))
        .toList();
  }

  /**
   * Puts a work into a folder with what was said of it elsewhere, by the same members and dates.
   *
   * @return row numbers of the reasons that were added; what a member has said there already is not
   *     said twice
   */
  List<Integer> bring(int folder, int publication, List<Taken> from) {
    Integer held = mapper.findItem(folder, publication);
    int item = held != null ? held : item(folder, publication, calendar.now());
    List<Integer> added = new ArrayList<>();
    for (Taken one : from) {
      for (ReasonKept reason : one.reasons()) {
        if (!mapper.gaveReason(item, reason.membership(), reason.text())) {
          added.add(
              Boolean.TRUE.equals(reason.byGroup())
                  ? mapper.addReasonOfGroup(item, reason.membership(), reason.text(), reason.at())
                  : mapper.addReason(
                      item, reason.membership(), reason.step(), reason.text(), reason.at()));
        }
      }
    }
    return added;
  }

  /** {@code of}: whose reasons go; none: all. */
  private Taken take(FolderMapper.KeptItem item, @Nullable Integer of) {
    List<FolderMapper.ReasonRow> all = mapper.reasonsOf(item.id());
    List<FolderMapper.ReasonRow> gone = new ArrayList<>();
    String stays = "";
    for (FolderMapper.ReasonRow row : all) {
      if (of == null || (row.membership() == of && !row.byGroup())) {
        gone.add(row);
        mapper.removeReason(row.id());
      } else if (stays.isEmpty()) {
        stays = row.byGroup() ? "the group" : mapper.nameOf(row.membership());
      }
    }
    if (stays.isEmpty()) {
      mapper.dropItem(item.id());
    }
    return taken(item, gone, stays);
  }

  private static Taken taken(
      FolderMapper.KeptItem item, List<FolderMapper.ReasonRow> reasons, String stays) {
    return new Taken(
        item.folder(),
        item.folderName(),
        item.publication(),
        item.at(),
        reasons.stream()
            .map(
                r ->
                    new ReasonKept(r.id(), r.membership(), r.step(), r.text(), r.at(), r.byGroup()))
            .toList(),
        stays,
        item.place());
  }

  /**
   * Puts back what was taken out, with dates, steps and reasons as they were; into the folder that
   * the first one went into, where it did.
   */
  public Returned putBack(Taken taken) {
    Integer folder = mapper.living(taken.folder());
    if (folder == null) {
      throw Folders.isNoMore(taken.folderName());
    }
    Integer held = mapper.findItem(folder, taken.publication());
    int item = held != null ? held : item(folder, taken.publication(), taken.at());
    if (held == null && taken.place() != null && folder == taken.folder()) {
      mapper.placeAt(item, taken.place());
    }
    List<Integer> reasons = new ArrayList<>();
    for (ReasonKept reason : taken.reasons()) {
      if (!mapper.gaveReason(item, reason.membership(), reason.text())) {
        mapper.restoreReason(item, reason);
        reasons.add(reason.id());
      }
    }
    return new Returned(folder, taken.publication(), reasons);
  }

  /** Takes out again what was put back, and nothing that was there or came since. */
  void takeAgain(Returned returned) {
    returned.reasons().forEach(reason -> mapper.removeReasonIn(returned.folder(), reason));
    mapper.removeItem(returned.folder(), returned.publication());
  }

  /**
   * What moving a work away changed, by name: the work in its folder, and that each member kept it
   * there: what was said went along, so that an earlier keep finds nothing there to take back.
   *
   * @param work row number as it is known now
   */
  static List<String> changes(int folder, int work, List<Taken> taken) {
    return Stream.concat(
            Stream.of("item:" + folder + ":" + work),
            taken.stream()
                .flatMap(one -> one.reasons().stream())
                .map(reason -> keep(folder, work, reason.membership())))
        .distinct()
        .toList();
  }

  /** The name of what a member changes by keeping a work. */
  static String keep(int folder, int work, int membership) {
    return "keep:" + folder + ":" + work + ":" + membership;
  }

  /** What became of a work in the folders where its keep was changed; empty where nothing did. */
  public static String sentence(List<Taken> taken) {
    List<String> parts = new ArrayList<>();
    for (Taken one : taken) {
      parts.add(
          one.stays().isEmpty()
              ? "Taken out of " + one.folderName() + "."
              : "It stays in " + one.folderName() + ": " + one.stays() + " kept it too.");
    }
    return String.join(" ", parts);
  }
}
