package org.quietlantern.server.revising;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoable;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What members say to the group about a line of a revision. */
@Service
public class Remarking implements Undoable {
  private static final String WHAT = "search.remark";
  private static final int LONGEST = 2_000;
  private final RevisingMapper mapper;
  private final Revisions revisions;
  private final Commands commands;
  private final Calendar calendar;

  record Before(int remark) {}

  Remarking(RevisingMapper mapper, Revisions revisions, Commands commands, Calendar calendar) {
    this.mapper = mapper;
    this.revisions = revisions;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** What somebody wrote, without blanks around it; refused where it is too long. */
  static String cleaned(String text) {
    String clean = text.strip();
    if (clean.length() > LONGEST) {
      throw Refusal.unusable("too-long", "A remark or reason has at most 2,000 characters.");
    }
    return clean;
  }

  /** {@code line}: the id of a line in that revision. */
  @Transactional
  public void remark(Member who, UUID command, String search, int n, String line, String text) {
    Revisions.Revision revision = revisions.get(who, search, n);
    String clean = cleaned(text);
    if (clean.isEmpty()) {
      throw Refusal.unusable("remark", "A remark needs some words.");
    }
    if (revision.strategy().lines().stream().noneMatch(each -> each.id().equals(line))) {
      throw Refusal.unknown();
    }
    commands.run(
        who,
        command,
        WHAT,
        Boolean.class,
        () -> {
          int id = mapper.addRemark(revision.row(), line, who.id(), clean, calendar.now());
          return new Done<>(
              SavedSearches.subject(search) + ":remark:" + id,
              new Before(id),
              Map.of("revision", n, "line", line),
              true);
        });
  }

  @Override
  public List<Undoer<?>> undoers() {
    return List.of(new Undoer<>(WHAT, Before.class, this::takeBack));
  }

  private String takeBack(Member who, UUID command, Before before) {
    mapper.removeRemark(before.remark());
    return "";
  }
}
