package org.quietlantern.core.drive;

import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A place on a drive, below the folder that the group has there: names of folders, the last may be
 * of a file. No name leads upwards, and each is one that the usual file systems can hold. None at
 * all is the group's folder itself.
 */
public record DrivePath(List<String> names) {
  /** Letters of one name. */
  public static final int LONGEST = 120;

  /** Names in each other. */
  public static final int DEEPEST = 10;

  private static final Pattern FORBIDDEN = Pattern.compile("[\\p{Cntrl}<>:\"/\\\\|?*]");
  private static final Pattern UNRESERVED = Pattern.compile("[A-Za-z0-9._~-]");

  public DrivePath {
    names = List.copyOf(names);
  }

  /**
   * As somebody typed it or it was kept, with slashes between names.
   *
   * @throws IllegalArgumentException for people, if it is none
   */
  public static DrivePath read(String typed) {
    List<String> names = new ArrayList<>();
    for (String part : Normalizer.normalize(typed, Normalizer.Form.NFC).split("/")) {
      String name = part.strip();
      if (!name.isEmpty()) {
        names.add(fit(name));
      }
    }
    if (names.size() > DEEPEST) {
      throw new IllegalArgumentException("That is more than ten folders in each other.");
    }
    return new DrivePath(names);
  }

  private static String fit(String name) {
    if (FORBIDDEN.matcher(name).find()) {
      throw new IllegalArgumentException(
          "“%s” has a character that not every drive can hold: < > : \" / \\ | ? *"
              .formatted(name));
    }
    if (name.length() > LONGEST) {
      throw new IllegalArgumentException("A name on the drive has at most 120 letters.");
    }
    if (name.endsWith(".")) {
      throw new IllegalArgumentException("No name on the drive ends with a dot.");
    }
    return name;
  }

  /** With one name more. */
  public DrivePath and(String name) {
    List<String> more = new ArrayList<>(names);
    more.add(name);
    return new DrivePath(more);
  }

  /** The first so many names. */
  public DrivePath first(int many) {
    return new DrivePath(names.subList(0, many));
  }

  /** The last name; empty for the group's folder itself. */
  public String name() {
    return names.isEmpty() ? "" : names.get(names.size() - 1);
  }

  /** Names with slashes between them, for people and to be read again. */
  public String text() {
    return String.join("/", names);
  }

  /** With which the paths of all that is in this folder begin. */
  public String inside() {
    return names.isEmpty() ? "" : text() + "/";
  }

  /** As it stands in an address (RFC 3986, 3.3): each name in UTF-8, encoded. */
  public String encoded() {
    return String.join("/", names.stream().map(DrivePath::encoded).toList());
  }

  private static String encoded(String name) {
    StringBuilder text = new StringBuilder();
    for (byte one : name.getBytes(StandardCharsets.UTF_8)) {
      String letter = Character.toString((char) (one & 0xff));
      text.append(UNRESERVED.matcher(letter).matches() ? letter : "%%%02X".formatted(one & 0xff));
    }
    return text.toString();
  }

  /** The names in the path of an address, decoded; what is no encoding stays as it is. */
  static List<String> decoded(String path) {
    return Arrays.stream(path.split("/"))
        .filter(part -> !part.isEmpty())
        .map(DrivePath::decodedName)
        .toList();
  }

  private static String decodedName(String part) {
    byte[] raw = part.getBytes(StandardCharsets.UTF_8);
    byte[] out = new byte[raw.length];
    int length = 0;
    for (int i = 0; i < raw.length; i++, length++) {
      boolean encoded =
          raw[i] == '%'
              && i + 2 < raw.length
              && Character.digit(raw[i + 1], 16) >= 0
              && Character.digit(raw[i + 2], 16) >= 0;
      if (encoded) {
        out[length] =
            (byte) (Character.digit(raw[i + 1], 16) * 16 + Character.digit(raw[i + 2], 16));
        i += 2;
      } else {
        out[length] = raw[i];
      }
    }
    return Normalizer.normalize(
        new String(out, 0, length, StandardCharsets.UTF_8), Normalizer.Form.NFC);
  }
}
