package org.quietlantern.server.drive;

import java.io.IOException;
import org.quietlantern.core.drive.DriveAnswer;
import org.quietlantern.server.platform.Nullable;

/** A drive did not do what it was asked for. The message is a sentence for people. */
final class DriveTrouble extends IOException {
  private static final long serialVersionUID = 1;
  private final boolean passes;
  private final @Nullable DriveAnswer answer;

  private DriveTrouble(
      String sentence, boolean passes, @Nullable DriveAnswer answer, @Nullable Throwable cause) {
    super(sentence, cause);
    this.passes = passes;
    this.answer = answer;
  }

  static DriveTrouble of(DriveAnswer answer) {
    return new DriveTrouble(answer.words(), answer.passes(), answer, null);
  }

  /** It was not reached at all. */
  static DriveTrouble notReached(String sentence, IOException why) {
    return new DriveTrouble(sentence, true, null, why);
  }

  /** Somebody has to do something about it. */
  static DriveTrouble lasting(String sentence) {
    return new DriveTrouble(sentence, false, null, null);
  }

  /** Something stands there that is not ours, or nothing where ours stood. */
  static DriveTrouble taken(String sentence) {
    return new DriveTrouble(sentence, false, DriveAnswer.NOT_AS_THOUGHT, null);
  }

  /** Whether it may be over by itself later. */
  boolean passes() {
    return passes;
  }

  boolean is(DriveAnswer wanted) {
    return answer == wanted;
  }

  /** Whether it is of the whole drive, not of one file. */
  boolean ofDrive() {
    return (answer == null && passes)
        || answer == DriveAnswer.REFUSED
        || answer == DriveAnswer.BUSY
        || answer == DriveAnswer.FULL;
  }
}
