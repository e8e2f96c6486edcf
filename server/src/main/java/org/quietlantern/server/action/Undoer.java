package org.quietlantern.server.action;

import java.util.Map;
import java.util.UUID;
import org.quietlantern.server.group.Member;

/** Takes back one kind of action. */
public interface Undoer {
  /** The kind of action, as given to {@link Commands#run}. */
  String what();

  /**
   * Takes it back, inside the transaction of the undo.
   *
   * @param command the id of the undo
   * @param before as recorded with the action
   * @param after as recorded with the action
   * @return a sentence where something could not be taken back whole, else empty
   */
  String undo(Member who, UUID command, Map<String, Object> before, Map<String, Object> after);
}
