package org.quietlantern.server.action;

import java.util.UUID;
import org.quietlantern.server.group.Member;

/**
 * Takes back one kind of action.
 *
 * @param <B> what it needs to know, as the command recorded it ({@link Done#before})
 * @param what the kind of action, as given to {@link Commands#run}
 */
public record Undoer<B>(String what, Class<B> type, Step<B> step) {

  /** The way back, inside the transaction of the undo. */
  @FunctionalInterface
  public interface Step<B> {
    /**
     * @param command the id of the undo
     * @return a sentence where something could not be taken back whole, else empty
     */
    String back(Member who, UUID command, B before);
  }
}
