package org.quietlantern.server.folder;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeping from a list: one act, confirmed with the folder's name, undoable. */
@Service
public class Keeping implements Undoer {
  static final String WHAT = "item.keep";
  static final int LONGEST_NOTE = 4000;
  private final Folders folders;
  private final Items items;
  private final Publications publications;
  private final Reviews reviews;
  private final Trail trail;
  private final Commands commands;

  /** What was done. {@code keeper}: who had it there first. */
  public record Kept(
      String folderId, String folder, boolean already, String keeper, List<String> elsewhere) {}

  Keeping(
      Folders folders,
      Items items,
      Publications publications,
      Reviews reviews,
      Trail trail,
      Commands commands) {
    this.folders = folders;
    this.items = items;
    this.publications = publications;
    this.reviews = reviews;
    this.trail = trail;
    this.commands = commands;
  }

  /** {@code step}: the step of the member's trail that led to it, if one did. */
  @Transactional
  public Kept keep(
      Member who,
      UUID command,
      String folder,
      String publication,
      String note,
      @Nullable String step) {
    if (note.length() > LONGEST_NOTE) {
      throw Refusal.unusable("note", "A note has at most 4,000 characters.");
    }
    int folderId = folders.id(who, folder);
    Stored stored = publications.get(publication);
    return commands.run(
        who, command, WHAT, Kept.class, () -> place(who, command, folderId, stored, note, step));
  }

  private Done<Kept> place(
      Member who, UUID command, int folder, Stored stored, String note, @Nullable String step) {
    Items.Placed placed =
        items.place(
            who, command, folder, stored, note.strip(), trail.findStep(who, step).orElse(null));
    Map<String, Object> before =
        new HashMap<>(Map.of("folder", folder, "publication", stored.id()));
    if (placed.reason() != null) {
      before.put("reason", placed.reason());
    }
    return new Done<>(
        "keep:" + folder + ":" + stored.id() + ":" + who.id(),
        before,
        Map.of("folder", placed.folderId(), "publication", stored.pid()),
        new Kept(
            placed.folderId(),
            placed.folder(),
            placed.already(),
            placed.keeper(),
            placed.elsewhere()));
  }

  @Override
  public String what() {
    return WHAT;
  }

  @Override
  public String undo(
      Member who, UUID command, Map<String, Object> before, Map<String, Object> after) {
    int publication = (Integer) before.get("publication");
    reviews.takeBack(who, command, publication);
    return before.get("reason") instanceof Integer reason
        ? items.removeReason(who, (Integer) before.get("folder"), publication, reason)
        : "It was in the folder before, and stays there.";
  }
}
