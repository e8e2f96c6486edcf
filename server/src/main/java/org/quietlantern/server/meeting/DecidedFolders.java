package org.quietlantern.server.meeting;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import org.quietlantern.core.review.Outcome;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.Items;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.quietlantern.server.review.Decisions;
import org.quietlantern.server.review.Decisions.Decision;
import org.springframework.stereotype.Component;

/** What a decision does in folders: a keep puts the work there in the group's name. */
@Component
class DecidedFolders {
  private final Folders folders;
  private final Keeping keeping;
  private final Items items;
  private final Decisions decisions;
  private final Calendar calendar;

  /**
   * What became of a work; row numbers.
   *
   * @param folder where it was put, and with which reason
   * @param taken where it was taken out
   * @param note what is to be said of it; may be empty
   */
  record Moved(
      @Nullable Integer folder, @Nullable Integer reason, List<Items.Taken> taken, String note) {}

  DecidedFolders(
      Folders folders, Keeping keeping, Items items, Decisions decisions, Calendar calendar) {
    this.folders = folders;
    this.keeping = keeping;
    this.items = items;
    this.decisions = decisions;
    this.calendar = calendar;
  }

  /**
   * Carries a decision out.
   *
   * @param first whether the work comes for the first time: what comes again stays where it is
   * @param former what was decided before in the same meeting: the group keeps it there no more
   */
  Moved carryOut(
      Member who,
      StoredPublication work,
      Outcome outcome,
      Deciding.Wanted wanted,
      boolean first,
      @Nullable Decision former) {
    LinkedHashSet<String> notes = new LinkedHashSet<>();
    if (former != null && former.folder() != null && former.reason() != null) {
      notes.add(items.removeReason(who, former.folder(), work.id(), former.reason()));
    }
    List<Items.Taken> taken = new ArrayList<>();
    if (outcome == Outcome.PASS) {
      wanted.outOf().stream()
          .distinct()
          .map(folder -> into(who, folder).folder())
          .forEach(folder -> taken.addAll(items.takeOut(folder, work.id())));
      notes.add(Items.sentence(taken));
    }
    notes.remove("");
    String note = String.join(" ", notes);
    if (outcome != Outcome.KEEP || !first) {
      return new Moved(null, null, taken, note);
    }
    Items.CarriedOut put =
        items.keepForGroup(
            who.id(),
            into(who, wanted.folder()).folder(),
            work,
            note(who, calendar.now(), wanted.words().strip()));
    return new Moved(put.folder(), put.reason(), taken, note);
  }

  /** As it was before; answers of what could not be. */
  String takeBack(Member who, StoredPublication work, Moved moved, @Nullable Decision former) {
    String note =
        moved.folder() == null || moved.reason() == null
            ? ""
            : items.removeReason(who, moved.folder(), work.id(), moved.reason());
    moved.taken().forEach(items::putBack);
    if (former != null && former.folder() != null && folders.isThere(former.folder())) {
      Items.CarriedOut put =
          items.keepForGroup(
              former.membership(), former.folder(), work, note(who, former.at(), former.words()));
      decisions.keptIn(former.id(), put.folder(), put.reason());
    }
    return note;
  }

  /** A folder of the whole group, which whoever writes it down may change. */
  private Keeping.Into into(Member who, @Nullable String folder) {
    if (folder == null) {
      throw Refusal.unusable("folder", "A keep needs a folder.");
    }
    Keeping.Into into = keeping.into(who, folders.idToEdit(who, folder));
    if (into.closed()) {
      throw Refusal.conflict(
          "folder-closed",
          "Choose a folder that the whole group sees: it is the group's decision.");
    }
    return into;
  }

  private static String note(Member who, Instant at, String words) {
    String decided = "Decided together on " + Zones.day(at, who.zoneId()) + ".";
    return words.isEmpty() ? decided : decided + " " + words;
  }
}
