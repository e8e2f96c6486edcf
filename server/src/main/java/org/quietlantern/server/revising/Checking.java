package org.quietlantern.server.revising;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.folder.Revisions;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A revision is given to a colleague, who looks at it and says so. Nobody checks their own. */
@Service
public class Checking implements Undoer {
  private final RevisingMapper mapper;
  private final Revisions revisions;
  private final Groups groups;
  private final Commands commands;
  private final Calendar calendar;

  /** A revision that waits for the member's check. */
  public record ToCheck(String search, String name, int n, String by, Instant at) {}

  Checking(
      RevisingMapper mapper,
      Revisions revisions,
      Groups groups,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.revisions = revisions;
    this.groups = groups;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** What waits for the member's check, the longest waiting first. */
  @Transactional(readOnly = true)
  public List<ToCheck> waitingFor(Member who) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.waiting(who.id()).stream()
        .map(
            row ->
                new ToCheck(
                    row.pid(),
                    row.name(),
                    row.n(),
                    names.getOrDefault(row.askedBy(), "a former member"),
                    row.asked()))
        .toList();
  }

  /** Gives a revision to a colleague. {@code colleague}: public id of the membership. */
  @Transactional
  public void give(Member who, UUID command, String search, int n, String colleague) {
    Member checker =
        groups.members(who.group()).stream()
            .filter(member -> member.pid().equals(colleague))
            .findFirst()
            .orElseThrow(Refusal::unknown);
    run(
        who,
        command,
        search,
        n,
        checker,
        (known, revision) ->
            new RevisingMapper.Check(
                revision,
                checker.id(),
                who.id(),
                calendar.now(),
                known == null ? null : known.checked()));
  }

  /** The member looked at a revision whole. */
  @Transactional
  public void checked(Member who, UUID command, String search, int n) {
    run(
        who,
        command,
        search,
        n,
        who,
        (known, revision) ->
            new RevisingMapper.Check(
                revision,
                who.id(),
                known == null ? null : known.askedBy(),
                known == null ? null : known.asked(),
                calendar.now()));
  }

  private interface Step {
    RevisingMapper.Check after(RevisingMapper.Check known, int revision);
  }

  private void run(Member who, UUID command, String search, int n, Member checker, Step step) {
    Revisions.Revision revision = revisions.get(who, search, n);
    if (revision.membership() == checker.id()) {
      throw Refusal.unusable("own-revision", "A revision is checked by somebody else.");
    }
    if (!checker.mayWrite()) {
      throw Refusal.unusable("guest", "A guest cannot check.");
    }
    commands.run(who, command, what(), Boolean.class, () -> make(search, revision, checker, step));
  }

  private Done<Boolean> make(
      String search, Revisions.Revision revision, Member checker, Step step) {
    RevisingMapper.Check known = mapper.check(revision.row(), checker.id());
    mapper.setCheck(step.after(known, revision.row()));
    Map<String, Object> before = new HashMap<>();
    before.put("revision", revision.row());
    before.put("checker", checker.id());
    before.put("known", known != null);
    if (known != null) {
      before.put("askedBy", known.askedBy());
      before.put("asked", text(known.asked()));
      before.put("checked", text(known.checked()));
    }
    return new Done<>(
        SavedSearches.subject(search),
        before,
        Map.of("revision", revision.n(), "checker", checker.pid()),
        true);
  }

  private static String text(Instant at) {
    return at == null ? null : at.toString();
  }

  private static Instant instant(Object text) {
    return text == null ? null : Instant.parse((String) text);
  }

  @Override
  public String what() {
    return "search.check";
  }

  @Override
  public String undo(
      Member who, UUID command, Map<String, Object> before, Map<String, Object> after) {
    int revision = (Integer) before.get("revision");
    int checker = (Integer) before.get("checker");
    if (Boolean.TRUE.equals(before.get("known"))) {
      mapper.setCheck(
          new RevisingMapper.Check(
              revision,
              checker,
              (Integer) before.get("askedBy"),
              instant(before.get("asked")),
              instant(before.get("checked"))));
    } else {
      mapper.removeCheck(revision, checker);
    }
    return "";
  }
}
