package org.quietlantern.server.platform.settings;

import java.net.URI;
import java.net.URISyntaxException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import org.quietlantern.core.mail.MailAddress;

/** What a value may look like, and the sentence for one that does not. */
enum Form {
  PORT("a port: a number from 1 to 65535", value -> isNumber(value, 1, 65_535)),
  COUNT("a number from 2 to 200", value -> isNumber(value, 2, 200)),
  HOST("a host name or an address", Form::isHost),
  HOSTS("host names or addresses with commas", value -> each(value, Form::isHost)),
  ADDRESSES("IP addresses with commas", value -> each(value, Form::isAddress)),
  URL("an address like https://lantern.example.org, without a path", Form::isUrl),
  FOLDER("a folder, from / on", value -> value.startsWith("/") && isPath(value)),
  FOLDER_OR_NONE("a folder, from / on", value -> value.isEmpty() || FOLDER.fits(value)),
  HOUR(
      "an hour from 0 to 23, or “never”", value -> value.equals("never") || isNumber(value, 0, 23)),
  COPIES("a number from 1 to 999", value -> isNumber(value, 1, 999)),
  FILE("a file that can be read", value -> value.isEmpty() || isReadable(value)),
  DATABASE("“own”, or HOST:PORT/NAME", Form::isDatabase),
  PLACE_OR_NONE("HOST:PORT", value -> value.isEmpty() || isPlace(value)),
  MAIL_SECURITY("“starttls”, “tls” or “none”", value -> value.matches("starttls|tls|none")),
  MAIL_ADDRESS("a mail address", value -> MailAddress.read(value).isPresent()),
  ANYTHING("a word without spaces", value -> value.matches("\\S{0,200}")),
  NAME("a name of letters, digits and _", value -> value.matches("\\w{1,63}")),
  MEMORY("“auto”, or at least 256m, like 700m or 2g", Form::isMemory),
  DURATION("a time like 20s or 2m", value -> value.matches("[1-9]\\d{0,3}[sm]"));

  private final String wanted;

  @SuppressWarnings("ImmutableEnumChecker")
  private final Predicate<String> fits;

  Form(String wanted, Predicate<String> fits) {
    this.wanted = wanted;
    this.fits = fits;
  }

  boolean fits(String value) {
    return fits.test(value);
  }

  /** What it has to be, as the end of a sentence. */
  String wanted() {
    return wanted;
  }

  static List<String> parts(String value) {
    return Arrays.stream(value.split(",")).map(String::strip).filter(p -> !p.isEmpty()).toList();
  }

  private static boolean each(String value, Predicate<String> fits) {
    return parts(value).stream().allMatch(fits);
  }

  private static boolean isNumber(String value, int least, int most) {
    return value.matches("\\d{1,5}")
        && Integer.parseInt(value) >= least
        && Integer.parseInt(value) <= most;
  }

  private static boolean isHost(String value) {
    return value.matches("[\\p{Alnum}]([\\p{Alnum}.-]*[\\p{Alnum}])?") || isAddress(value);
  }

  private static boolean isAddress(String value) {
    return value.matches("\\d{1,3}(\\.\\d{1,3}){3}")
        ? Arrays.stream(value.split("\\.")).allMatch(part -> Integer.parseInt(part) < 256)
        : value.matches("[0-9a-fA-F:]*:[0-9a-fA-F:.]*") && value.length() <= 45;
  }

  private static boolean isUrl(String value) {
    try {
      URI address = new URI(value);
      boolean web = "http".equals(address.getScheme()) || "https".equals(address.getScheme());
      return web
          && address.getHost() != null
          && address.getPath().isEmpty()
          && address.getQuery() == null
          && address.getFragment() == null
          && address.getUserInfo() == null;
    } catch (URISyntaxException none) {
      return false;
    }
  }

  private static boolean isPath(String value) {
    try {
      return !Path.of(value).toString().isEmpty();
    } catch (InvalidPathException none) {
      return false;
    }
  }

  private static boolean isReadable(String value) {
    return isPath(value) && Files.isReadable(Path.of(value)) && Files.isRegularFile(Path.of(value));
  }

  private static boolean isDatabase(String value) {
    return value.equals("own")
        || (value.matches("[^/]+/\\w{1,63}") && isPlace(value.replaceAll("/.*", "")));
  }

  private static boolean isPlace(String value) {
    return value.matches("[\\w.-]+:\\d{1,5}") && PORT.fits(value.replaceAll(".*:", ""));
  }

  private static boolean isMemory(String value) {
    return value.equals("auto")
        || (value.matches("\\d{1,6}m") && Integer.parseInt(value.replace("m", "")) >= 256)
        || value.matches("[1-9]\\d{0,2}g");
  }
}
