package org.quietlantern.core.question;

import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What somebody looks at: an address below that of their group, as the browser has it, so that
 * whoever opens it sees the same list in the same order, with the same work beside it.
 *
 * @param id public id of the thing
 * @param address {@code /q/ID?order=title&p=ID}
 */
public record Place(Kind kind, String id, String address) {
  private static final int LONGEST = 2_000;
  private static final Pattern FORM =
      Pattern.compile("/([a-z])/([0-9A-Za-z]{4,30})(?:/text)?(?:\\?[^#\\s\\p{Cntrl}]*)?");

  /** What can be looked at together. */
  public enum Kind {
    SHEET('q'),
    PUBLICATION('p'),
    FOLDER('f'),
    ROUND('r'),
    SEARCH('s'),
    ALERT('a');

    private final char letter;

    Kind(char letter) {
      this.letter = letter;
    }
  }

  /** Empty for an address that leads anywhere else. */
  public static Optional<Place> read(String address) {
    Matcher parts = FORM.matcher(address);
    if (address.length() > LONGEST || !parts.matches()) {
      return Optional.empty();
    }
    return Arrays.stream(Kind.values())
        .filter(kind -> kind.letter == parts.group(1).charAt(0))
        .map(kind -> new Place(kind, parts.group(2), address))
        .findFirst();
  }
}
