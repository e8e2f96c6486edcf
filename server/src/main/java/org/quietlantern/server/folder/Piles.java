package org.quietlantern.server.folder;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Members' own piles: what is kept without choosing a folder. Others see nothing of them. */
@Service
public class Piles implements Undoer {
  private static final String NAME = "My pile";
  private final FolderMapper mapper;
  private final Items items;
  private final Publications publications;
  private final Reviews reviews;
  private final Trail trail;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  Piles(
      FolderMapper mapper,
      Items items,
      Publications publications,
      Reviews reviews,
      Trail trail,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.items = items;
    this.publications = publications;
    this.reviews = reviews;
    this.trail = trail;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Keeps in the member's pile. Others see that the member has seen it, nothing else. */
  @Transactional
  public Keeping.Kept keep(
      Member who, UUID command, String publication, String note, @Nullable String step) {
    if (note.length() > Keeping.LONGEST_NOTE) {
      throw Refusal.unusable("note", "A note has at most 4,000 characters.");
    }
    Stored stored = publications.get(publication);
    return commands.run(
        who, command, what(), Keeping.Kept.class, () -> place(who, command, stored, note, step));
  }

  private Done<Keeping.Kept> place(
      Member who, UUID command, Stored stored, String note, @Nullable String step) {
    int pile = pile(who);
    Items.Placed placed =
        items.put(who, pile, stored, note.strip(), trail.findStep(who, step).orElse(null));
    boolean first = reviews.of(who, stored.id()).isEmpty();
    if (first) {
      reviews.mark(who, command, stored.id(), Mark.SEEN, "");
    }
    Map<String, Object> before =
        new HashMap<>(Map.of("folder", pile, "publication", stored.id(), "seen", first));
    if (placed.reason() != null) {
      before.put("reason", placed.reason());
    }
    return new Done<>(
        "pile:" + pile + ":" + stored.id(),
        before,
        Map.of("folder", placed.folderId(), "publication", stored.pid()),
        new Keeping.Kept(
            placed.folderId(),
            placed.folder(),
            placed.already(),
            placed.keeper(),
            placed.elsewhere()),
        "me");
  }

  /** Row number of the member's pile, which is made when it is first needed. */
  private int pile(Member who) {
    Integer known = mapper.pile(who.group(), who.id());
    if (known != null) {
      return known;
    }
    Integer made = mapper.addPile(ids.next(), who.group(), who.id(), NAME, calendar.now());
    return made != null ? made : mapper.pile(who.group(), who.id());
  }

  @Override
  public String what() {
    return "pile.keep";
  }

  @Override
  public String undo(
      Member who, UUID command, Map<String, Object> before, Map<String, Object> after) {
    int publication = (Integer) before.get("publication");
    if (Boolean.TRUE.equals(before.get("seen"))) {
      reviews.takeBack(who, command, publication);
    }
    return before.get("reason") instanceof Integer reason
        ? items.removeReason(who, (Integer) before.get("folder"), publication, reason)
        : "It was in the pile before, and stays there.";
  }
}
