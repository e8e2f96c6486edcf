package org.quietlantern.server.revising;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** What members say to the group about a line of a revision. */
@Service
public class Remarking implements CommandKinds {
  private static final int LONGEST = 2_000;
  private final RevisingMapper mapper;
  private final Revisions revisions;
  private final Commands commands;
  private final Calendar calendar;

  private final CommandKind<Boolean, Before> remark =
      new CommandKind<>("search.remark", Boolean.class, Before.class, this::takeBack);

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
  public void remark(Member who, UUID command, String search, int n, String line, String text) {
    commands.run(who, command, remark, () -> remarked(who, search, n, line, text));
  }

  private CommandResult<Boolean, Before> remarked(
      Member who, String search, int n, String line, String text) {
    Revisions.Revision revision = revisions.get(who, search, n);
    String clean = cleaned(text);
    if (clean.isEmpty()) {
      throw Refusal.unusable("remark", "A remark needs some words.");
    }
    if (revision.strategy().lines().stream().noneMatch(each -> each.id().equals(line))) {
      throw Refusal.unknown();
    }
    int id = mapper.addRemark(revision.row(), line, who.id(), clean, calendar.now());
    return CommandResult.of(true, new Before(id))
        .changing(List.of("remark:" + id))
        .about(Subject.Of.SEARCH, List.of(search));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(remark);
  }

  private String takeBack(Member who, UUID command, Before before) {
    mapper.removeRemark(before.remark());
    return "";
  }
}
