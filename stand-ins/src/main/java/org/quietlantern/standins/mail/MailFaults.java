package org.quietlantern.standins.mail;

import java.time.Duration;

/** What goes wrong at the mail server; all right by itself. */
public final class MailFaults {
  /** At which point it says no, or leaves. */
  public enum Fault {
    NONE,
    /** Says 451 to every recipient: try later. */
    BUSY,
    /** Says 550 to every recipient: there is nobody. */
    NOBODY,
    /** Takes the message, and later finds that there is nobody. */
    NOBODY_LATER,
    /** Takes the message and leaves without an answer. */
    LEAVES_AFTER_DATA
  }

  private volatile Fault fault = Fault.NONE;
  private volatile Duration pause = Duration.ZERO;

  public void set(Fault next) {
    fault = next;
  }

  /** Waits so long before it takes a message. */
  public void slow(Duration next) {
    pause = next;
  }

  Fault fault() {
    return fault;
  }

  Duration pause() {
    return pause;
  }
}
