package org.quietlantern.core.exchange;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Host;

/** Where something appeared, written in one line: {@code Title, 52(3), 101-112} and the like. */
final class SuppliedPlace {
  private static final Pattern SHORT =
      Pattern.compile(
          "(.+?),? +(\\d+) ?\\((\\w+)\\)(?: ?([\\w/-]+))?(?:[,:;] *(?:pp?\\.|S\\.)? *(\\w?\\d+)(?:[-–](\\w?\\d+))?)?[ .]*");
  private static final Pattern VOLUME =
      Pattern.compile("(?i)\\b(?:vol(?:ume)?|v|bd|band|jg|tome)\\b\\.? *(\\d+\\w*)");
  private static final Pattern ISSUE =
      Pattern.compile("(?i)\\b(?:no|nr|n°|issue|iss|heft|num)\\b\\.? *(\\w+(?:[-/]\\d+)?)");
  private static final Pattern PAGES =
      Pattern.compile(
          "(?i)(?:\\b(?:pp?|s|pages?|seiten?)\\b\\.? *|[;,:] *)(\\w?\\d+)[-–](\\w?\\d+)[ .]*$");
  private static final Pattern YEAR = Pattern.compile("1[5-9]\\d\\d|20\\d\\d");
  private static final Pattern NO_TITLE =
      Pattern.compile(
          "(?i)\\s*(?:(?:p-?|e-?)?iss?n\\b.*|isbn\\b.*|urn:.*|https?://.*|[\\d\\s.,;:/xX-]*)");

  private SuppliedPlace() {}

  /** Of several lines the one that says most; {@code issn} stands where it names none itself. */
  static Host of(List<String> lines, String issn) {
    return lines.stream()
        .flatMap(line -> detailed(line).stream())
        .filter(Host::isKnown)
        .findFirst()
        .or(() -> titleOnly(lines))
        .map(host -> withIssn(host, issn))
        .orElse(Host.NONE);
  }

  private static Optional<Host> titleOnly(List<String> lines) {
    return lines.stream()
        .filter(line -> !NO_TITLE.matcher(line).matches())
        .map(line -> new Host(line, "", "", "", "", ""))
        .findFirst();
  }

  private static Host withIssn(Host host, String issn) {
    return new Host(
        host.title(), issn, host.volume(), host.issue(), host.firstPage(), host.lastPage());
  }

  /** Empty unless it names a volume. */
  static Optional<Host> detailed(String line) {
    return inWords(line).or(() -> inShort(line));
  }

  private static Optional<Host> inWords(String line) {
    Matcher volume = VOLUME.matcher(line);
    if (!volume.find()) {
      return Optional.empty();
    }
    String title = line.substring(0, volume.start()).replaceAll("[\\s,;:.(]+$", "");
    String rest = line.substring(volume.end());
    Matcher issue = ISSUE.matcher(rest);
    Host pages = pagesOnly(rest);
    return Optional.of(
        new Host(
            title,
            "",
            volume.group(1),
            issue.find() ? issue.group(1) : "",
            pages.firstPage(),
            pages.lastPage()));
  }

  private static Optional<Host> inShort(String line) {
    Matcher place = SHORT.matcher(line);
    if (!place.matches()) {
      return Optional.empty();
    }
    boolean year = YEAR.matcher(place.group(3)).matches();
    return Optional.of(
        new Host(
            place.group(1),
            "",
            place.group(2),
            year ? orEmpty(place.group(4)) : place.group(3),
            orEmpty(place.group(5)),
            orEmpty(place.group(6))));
  }

  /** Where no volume is named. */
  static Host pagesOnly(String line) {
    Matcher pages = PAGES.matcher(line);
    return pages.find() ? new Host("", "", "", "", pages.group(1), pages.group(2)) : Host.NONE;
  }

  private static String orEmpty(String part) {
    return Stream.ofNullable(part).findFirst().orElse("");
  }
}
