package org.quietlantern.core.drive;

/**
 * What the drive's answer to a request means, by its number (RFC 9110, 15; RFC 4918, 11), for
 * whoever has to do something about it.
 */
public enum DriveAnswer {
  /** It is done. */
  DONE(""),
  /** Nothing is there. */
  NOTHING_THERE("There is no such place on the drive."),
  /** A condition of the request does not hold. */
  NOT_AS_THOUGHT("The file is not on the drive as it was."),
  REFUSED("The drive refuses the name or the password."),
  FORBIDDEN("The drive lets this name write nothing there."),
  LEADS_ELSEWHERE("The drive leads to another address; enter that one if it is right."),
  NO_DRIVE("What answers there is no drive that speaks WebDAV."),
  LOCKED("Somebody has the file locked on the drive."),
  FULL("The drive is full."),
  TOO_LARGE("The file is larger than the drive takes."),
  BUSY("The drive has no time now."),
  BROKEN("The drive answers that it does not work.");

  private final String words;

  DriveAnswer(String words) {
    this.words = words;
  }

  /** A sentence for people; empty where all is well. */
  public String words() {
    return words;
  }

  /** Whether it passes by itself, so that trying again later makes sense. */
  public boolean passes() {
    return this == LOCKED || this == FULL || this == BUSY || this == BROKEN;
  }

  public static DriveAnswer of(int code) {
    return switch (code) {
      case 401, 407 -> REFUSED;
      case 403 -> FORBIDDEN;
      case 404, 409, 410 -> NOTHING_THERE;
      case 405, 501 -> NO_DRIVE;
      case 412 -> NOT_AS_THOUGHT;
      case 413 -> TOO_LARGE;
      case 423 -> LOCKED;
      case 429, 503 -> BUSY;
      case 507 -> FULL;
      default -> {
        if (code / 100 == 2) {
          yield DONE;
        }
        yield code / 100 == 3 ? LEADS_ELSEWHERE : code / 100 == 5 ? BROKEN : NO_DRIVE;
      }
    };
  }
}
