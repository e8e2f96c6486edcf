package org.quietlantern.server.arrival;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
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
 * Marks of members. A keep puts the publication into the folder of the round's alert; changing a
 * keep takes it out again unless somebody else kept it too.
 */
@Service
public class Marking implements Undoer {
  private static final int LONGEST_REASON = 4000;
  private final Arrivals arrivals;
  private final Publications publications;
  private final Reviews reviews;
  private final Items items;
  private final Commands commands;

  /**
   * What a mark came to.
   *
   * @param folder name of the folder it was kept in; empty for other marks
   * @param note what stays and why, where a keep was changed; else empty
   */
  public record Marked(String mark, String lamp, String folder, String note) {}

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

  /** {@code round}: where the mark is made; needed for a keep, whose folder it decides. */
  @Transactional
  public Marked mark(
      Member who,
      UUID command,
      String publication,
      String word,
      String reason,
      @Nullable String round) {
    Mark mark =
        Mark.named(word)
            .orElseThrow(() -> Refusal.unusable("mark", "There is no mark “" + word + "”."));
    if (reason.length() > LONGEST_REASON) {
      throw Refusal.unusable("note", "A reason has at most 4,000 characters.");
    }
    Integer folder = round == null ? null : arrivals.row(who, round).folder();
    if (mark == Mark.KEEP && folder == null) {
      throw Refusal.unusable("folder", "A keep needs a folder.");
    }
    Stored stored = publications.get(publication);
    return commands.run(
        who,
        command,
        what(),
        Marked.class,
        () -> marked(who, command, stored, mark, reason.strip(), folder));
  }

  private Done<Marked> marked(
      Member who, UUID command, Stored stored, Mark mark, String reason, @Nullable Integer folder) {
    Optional<Said> last = reviews.of(who, stored.id());
    Map<String, Object> before = new HashMap<>(Map.of("publication", stored.id()));
    String kept = "";
    String note = "";
    if (folder != null) {
      before.put("folder", folder);
    }
    last.ifPresent(said -> before.put("mark", said.mark().word()));
    last.ifPresent(said -> before.put("reason", said.reason()));
    if (mark == Mark.KEEP) {
      kept = items.place(who, command, folder, stored, reason, null).folder();
    } else {
      reviews.mark(who, command, stored.id(), mark, reason);
      boolean keptBefore = last.map(said -> said.mark() == Mark.KEEP).orElse(false);
      note = keptBefore && folder != null ? items.withdraw(who, folder, stored.id()) : "";
    }
    return new Done<>(
        "mark:" + stored.id() + ":" + who.id(),
        before,
        Map.of("mark", mark.word(), "publication", stored.pid()),
        new Marked(mark.word(), mark.lamp().word(), kept, note));
  }

  @Override
  public String what() {
    return "review.mark";
  }

  @Override
  public String undo(
      Member who, UUID command, Map<String, Object> before, Map<String, Object> after) {
    int publication = (Integer) before.get("publication");
    reviews.takeBack(who, command, publication);
    if (!(before.get("folder") instanceof Integer folder)) {
      return "";
    }
    boolean keptNow = "keep".equals(after.get("mark"));
    boolean keptBefore = "keep".equals(before.get("mark"));
    if (keptNow && !keptBefore) {
      return items.withdraw(who, folder, publication);
    }
    if (keptBefore && !keptNow) {
      String reason = String.valueOf(before.getOrDefault("reason", ""));
      Stored stored = publications.get((String) after.get("publication"));
      items.putBack(who, folder, stored, reason);
    }
    return "";
  }
}
