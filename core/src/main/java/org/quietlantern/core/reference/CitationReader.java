package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.PersonName;

/**
 * Citations in whatever style, taken apart by how styles put them together: names, year, title,
 * where it appeared, volume, issue, pages, DOI. It guesses; what it cannot tell apart it names.
 */
public final class CitationReader {
  private static final String YEARS = "(1[5-9]\\d\\d|20\\d\\d)";
  private static final Pattern YEAR = Pattern.compile("(?<![\\d–-])" + YEARS + "(?![\\d–])");
  private static final Pattern ADDRESS =
      Pattern.compile(
          "(?i)(?:available (?:at|from):?|doi:|<)?\\s*(?:https?://|doi:\\s*|\\b10\\.\\d{4,9}/)\\S+|\\bdoi:?\\s*$");

  /** A number in front, as lists have it, also without a blank behind it. */
  private static final Pattern LABEL =
      Pattern.compile("^\\s*(?:\\[\\d{1,4}]|\\d{1,4}[.)])\\s*(?=\\p{L})");

  /** Behind the names: the year where it stands in front of the title. */
  private static final Pattern YEAR_FIRST =
      Pattern.compile("[.,:;\\s]*[(\\[]?" + YEARS + "[a-z]?(?:,[^)\\]]{1,30}+)?[)\\]]?[.,:;]*\\s+");

  private static final Pattern QUOTED =
      Pattern.compile("[“„\"«]\\s*([^“”\"»]{6,600})[”“\"»]|[‘'](.{6,600}?)[,.]?[’'](?=[,.]?\\s)");

  /** Where a title ends: a stop behind a word, before something new. */
  private static final Pattern STOP =
      Pattern.compile("(?<=[\\p{L}\\p{N})\\]’”»])(?:[.](?=\\s|$)|[?!](?=\\s+[\\p{Lu}\\p{N}]|$))");

  /** Where it appeared: up to a figure, a comma or a bracket. */
  private static final Pattern WHERE =
      Pattern.compile("[.,;:\\s]*(?:In:?\\s+)?([^\\d,;(\\[]{3,200})");

  private static final Pattern VOLUME_ISSUE =
      Pattern.compile(
          "(?<![\\p{L}\\d–—-])(\\d{1,4})\\s*\\(\\s*([\\p{L}\\d]{1,10}(?:[–/-]\\d{1,4})?)\\s*\\)");
  private static final Pattern VOLUME =
      Pattern.compile("(?i)\\b(?:vol(?:ume)?\\.?|v\\.)\\s*(\\d{1,4})\\b");
  private static final Pattern ISSUE =
      Pattern.compile("(?i)\\b(?:no\\.?|nr\\.?|issue|number)\\s*(\\d{1,4})\\b");
  private static final Pattern BARE_VOLUME =
      Pattern.compile("^[\\s,.;:]*" + "(\\d{1,4})(?=\\s*[,:;.(]|\\s+\\(|\\s*$)");
  private static final Pattern PAGES =
      Pattern.compile(
          "(?<![\\d/])(?:[Pp]{1,2}\\.?\\s*)?([a-zA-Z]?\\d{1,6})\\s?[–—-]{1,2}\\s?([a-zA-Z]?\\d{1,6})(?!\\d)");
  private static final Pattern ONE_PAGE =
      Pattern.compile(
          "(?:[,:;]\\s*|\\b[Pp]{1,2}\\.\\s*)(e\\d{2,8}|\\d{1,6})(?=[.,;\\s]*(?:\\(|$))");
  private static final Pattern THESIS = Pattern.compile("(?i)\\b(?:thesis|dissertation|diss\\.)");

  private static final int SHORTEST_TITLE = 6;
  private static final int SHOWN = 80;

  private CitationReader() {}

  /**
   * Each entry of a list ({@link ReferenceList}).
   *
   * @param text at most {@link ReferenceList#LONGEST} letters; the rest is not read
   */
  public static ReadFile read(String text) {
    List<ReadFile.Found> found = new ArrayList<>();
    List<ReadFile.Problem> problems = new ArrayList<>();
    List<ReferenceList.Listed> entries = ReferenceList.read(text);
    for (ReferenceList.Listed entry : entries) {
      Optional<Reference> reference = one(entry);
      reference.ifPresentOrElse(
          one -> found.add(new ReadFile.Found(one, 0)),
          () -> problems.add(new ReadFile.Problem(0, untold(entry.text()))));
    }
    if (entries.size() == ReferenceList.MOST || text.length() > ReferenceList.LONGEST) {
      String most =
          "Of citations %,d are read at once, in %,d letters; bring the rest in by another file."
              .formatted(ReferenceList.MOST, ReferenceList.LONGEST);
      problems.add(new ReadFile.Problem(0, most));
    }
    return new ReadFile(found, problems);
  }

  private static String untold(String text) {
    String begins = text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
    return "Names, title and year could not be told apart: “%s”".formatted(begins);
  }

  private static Optional<Reference> one(ReferenceList.Listed entry) {
    String text =
        ADDRESS.matcher(LABEL.matcher(entry.text()).replaceFirst("")).replaceAll("").strip();
    CitedNames names = CitedNames.read(text);
    String rest = text.substring(names.end());
    String year = "";
    Matcher first = YEAR_FIRST.matcher(rest);
    if (first.lookingAt()) {
      year = first.group(1);
      rest = rest.substring(first.end());
    }
    Title title = title(rest);
    String after = rest.substring(title.end());
    if (year.isEmpty()) {
      year = lastYear(after);
    }
    if (title.text().length() < SHORTEST_TITLE
        || year.isEmpty()
        || (names.names().isEmpty() && entry.doi().isEmpty())) {
      return Optional.empty();
    }
    return Optional.of(reference(entry, names.names(), year, title.text(), after));
  }

  private record Title(String text, int end) {}

  private static Title title(String rest) {
    Matcher quoted = QUOTED.matcher(rest);
    if (quoted.find() && quoted.start() < 4) {
      String text = quoted.group(1) == null ? quoted.group(2) : quoted.group(1);
      return new Title(bare(text), quoted.end());
    }
    int begin = 0;
    while (begin < rest.length() && ".,:; ".indexOf(rest.charAt(begin)) >= 0) {
      begin++;
    }
    Matcher stop = STOP.matcher(rest);
    int end = stop.find(begin) ? stop.end() : rest.length();
    String text = rest.substring(begin, end);
    if (YEAR.matcher(text).find() && text.matches(".*\\d{1,4}\\s*[(,:].*")) {
      return byCommas(text, begin);
    }
    return new Title(bare(text), end);
  }

  /** In styles with commas alone: up to the piece that has figures, which is where it appeared. */
  private static Title byCommas(String text, int begin) {
    int end = 0;
    for (int comma = text.indexOf(", "); comma > 0; comma = text.indexOf(", ", comma + 1)) {
      int next = text.indexOf(", ", comma + 1);
      String piece = text.substring(comma + 2, next < 0 ? text.length() : next);
      end = comma;
      if (piece.chars().anyMatch(Character::isDigit)) {
        break;
      }
    }
    return end == 0
        ? new Title(bare(text), begin + text.length())
        : new Title(bare(text.substring(0, end)), begin + end);
  }

  /** Without the marks at its ends, and what a style adds in brackets. */
  private static String bare(String title) {
    return title
        .replaceFirst("\\s*\\[[^\\]]{1,40}]\\s*[.]?$", "")
        .replaceFirst("[.,;:\\s]+$", "")
        .strip();
  }

  private static String lastYear(String text) {
    String year = "";
    Matcher years = YEAR.matcher(text);
    while (years.find()) {
      year = years.group(1);
    }
    return year;
  }

  private static Reference reference(
      ReferenceList.Listed entry, List<PersonName> names, String year, String title, String after) {
    Matcher place = WHERE.matcher(after);
    boolean placed = place.lookingAt();
    String where =
        placed
            ? place
                .group(1)
                .replaceFirst("(?i)[\\s,]+(?:vol(?:ume)?|no|pp?)\\.?\\s*$", "")
                .replaceFirst("[.,;:\\s]+$", "")
                .strip()
            : "";
    String numbers = placed ? after.substring(place.end()) : after;
    Host host = host(where, numbers, year);
    boolean part = !host.volume().isEmpty() || !host.firstPage().isEmpty();
    Kind kind =
        THESIS.matcher(after).find()
            ? Kind.THESIS
            : part ? Kind.ARTICLE : after.matches("[.,\\s]*In:?\\s.*") ? Kind.CHAPTER : Kind.BOOK;
    boolean inside = kind == Kind.ARTICLE || kind == Kind.CHAPTER;
    return Reference.of(
        "",
        new ReadWork(
                kind,
                title,
                names.stream().map(Contributor::author).toList(),
                PartialDate.read(year),
                inside ? host : Host.NONE,
                inside ? "" : where,
                "",
                "",
                List.of(),
                entry.doi(),
                0,
                List.of())
            .publication(),
        "");
  }

  private static Host host(String where, String numbers, String year) {
    String volume = "";
    String issue = "";
    Matcher both = VOLUME_ISSUE.matcher(numbers);
    if (both.find()) {
      volume = both.group(1).equals(year) ? "" : both.group(1);
      issue = YEAR.matcher(both.group(2)).matches() ? "" : both.group(2);
    }
    if (volume.isEmpty()) {
      volume = found(VOLUME, numbers);
    }
    if (volume.isEmpty()) {
      String unyeared = numbers.replaceFirst("^[\\s,.;:(]*" + year + "[\\s,.;:)]*", "");
      volume = found(BARE_VOLUME, unyeared);
      volume = volume.equals(year) ? "" : volume;
    }
    if (issue.isEmpty()) {
      issue = found(ISSUE, numbers);
    }
    String from = "";
    String to = "";
    Matcher pages = PAGES.matcher(numbers);
    while (pages.find()) {
      from = pages.group(1);
      to = pages.group(2);
    }
    if (from.isEmpty()) {
      from = found(ONE_PAGE, numbers);
      from = from.equals(year) || from.equals(volume) ? "" : from;
    }
    return new Host(where, "", volume, issue, from, whole(from, to));
  }

  private static String found(Pattern pattern, String text) {
    Matcher matcher = pattern.matcher(text);
    return matcher.find() ? matcher.group(1) : "";
  }

  /** A last page of which only the figures that differ stand there: 144–56. */
  private static String whole(String from, String to) {
    boolean cut = to.length() < from.length() && from.matches("\\d+") && to.matches("\\d+");
    return cut ? from.substring(0, from.length() - to.length()) + to : to;
  }
}
