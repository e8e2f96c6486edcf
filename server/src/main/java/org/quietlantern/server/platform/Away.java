package org.quietlantern.server.platform;

import java.sql.SQLException;
import java.sql.SQLTransientException;
import java.util.Set;

/** Whether something failed because the database is gone or has no room for it now. */
public final class Away {
  /**
   * Classes of SQLSTATE (PostgreSQL, appendix A): no connection, no resources, stopped by somebody,
   * trouble of the system.
   */
  private static final Set<String> CLASSES = Set.of("08", "53", "57", "58");

  private Away() {}

  public static boolean isCauseOf(Throwable failed) {
    for (Throwable cause = failed; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLTransientException) {
        return true;
      }
      if (cause instanceof SQLException sql && isAway(sql.getSQLState())) {
        return true;
      }
    }
    return false;
  }

  /** The database always gives a state; the pool gives none for a connection that it has closed. */
  private static boolean isAway(@Nullable String state) {
    return state == null || CLASSES.contains(state.substring(0, 2));
  }
}
