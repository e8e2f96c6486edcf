package org.quietlantern.server.action;

import java.util.UUID;
import java.util.function.Supplier;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Every write of a member is a command with an id that the client makes. A command is carried out
 * once; repeating it gives the first answer again. What it did is recorded as an action.
 */
@Service
public class Commands {
  private final ActionMapper mapper;
  private final Json json;
  private final Calendar calendar;

  Commands(ActionMapper mapper, Json json, Calendar calendar) {
    this.mapper = mapper;
    this.json = json;
    this.calendar = calendar;
  }

  /**
   * Carries out a command in a transaction, one at a time in a group.
   *
   * @param what names the kind of action, as {@code item.keep}; an {@link Undoer} may take it back
   */
  @Transactional
  public <T> T run(Member who, UUID command, String what, Class<T> type, Supplier<Done<T>> work) {
    mapper.lock(who.group());
    ActionMapper.Row earlier = mapper.find(command);
    if (earlier != null) {
      return again(who, what, earlier, type);
    }
    Done<T> done = work.get();
    mapper.add(
        command,
        who.group(),
        who.id(),
        what,
        done.subjects().toArray(String[]::new),
        done.visibleTo(),
        json.write(done.before()),
        json.write(done.after()),
        json.write(done.answer()),
        calendar.now());
    return done.answer();
  }

  private <T> T again(Member who, String what, ActionMapper.Row earlier, Class<T> type) {
    boolean same =
        earlier.grp() == who.group()
            && earlier.membership() != null
            && earlier.membership() == who.id()
            && earlier.what().equals(what);
    if (!same) {
      throw Refusal.conflict("command-used", "This command was given before, for something else.");
    }
    return json.read(earlier.answer(), type);
  }

  /** Records something that the lantern did by itself; inside the caller's transaction. */
  @Transactional
  public void note(int group, String what, String subject) {
    mapper.lock(group);
    mapper.add(
        UUID.randomUUID(),
        group,
        null,
        what,
        new String[] {subject},
        "group",
        "{}",
        "{}",
        "{}",
        calendar.now());
  }
}
