package org.quietlantern.core.exchange;

import static java.util.Map.entry;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;

/** What the same facts look like as different sources write them. */
public final class Supplied {
  private static final Pattern DOI = Pattern.compile("10\\.\\d{4,9}/[^\\s\"<>]+");
  private static final Pattern ISSN =
      Pattern.compile("(?<![\\w-])(\\d{4})-?(\\d{3}[\\dXx])(?!\\w)");
  private static final Pattern ORCID = Pattern.compile("\\d{4}-\\d{4}-\\d{4}-\\d{3}[\\dX]");

  private static final Pattern LIKE_ONE = Pattern.compile("\\d{4}(?:-\\d\\d){0,2}");
  private static final Pattern ISO =
      Pattern.compile("(\\d{4})([-/.]?)(\\d\\d)\\2(\\d\\d)(?!\\d).*");
  private static final Pattern DAY_FIRST =
      Pattern.compile("(\\d{1,2})\\. ?(\\d{1,2})\\. ?(\\d{4})");
  private static final Pattern MONTH =
      Pattern.compile("(?i)\\b(jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\\b");
  private static final Pattern DAY = Pattern.compile("(?<!\\d)(\\d{1,2})(?:st|nd|rd|th)?(?![\\d])");
  private static final Pattern YEAR = Pattern.compile("(?<!\\d)(1[4-9]\\d\\d|2[01]\\d\\d)(?!\\d)");

  /** Months by three letters, in their order. */
  public static final List<String> MONTHS =
      List.of("jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec");

  /** Codes of ISO 639-2 for bibliographies where those for terminology differ. */
  private static final Map<String, String> BIBLIOGRAPHIC =
      Map.ofEntries(
          entry("alb", "sq"),
          entry("arm", "hy"),
          entry("baq", "eu"),
          entry("bur", "my"),
          entry("chi", "zh"),
          entry("cze", "cs"),
          entry("dut", "nl"),
          entry("fre", "fr"),
          entry("geo", "ka"),
          entry("ger", "de"),
          entry("gre", "el"),
          entry("ice", "is"),
          entry("mac", "mk"),
          entry("mao", "mi"),
          entry("may", "ms"),
          entry("per", "fa"),
          entry("rum", "ro"),
          entry("slo", "sk"),
          entry("tib", "bo"),
          entry("wel", "cy"));

  private static final Map<String, String> LANGUAGES = languages();

  /**
   * Words of repositories, of the COAR vocabulary of resource types 3.0 (by their numbers), and of
   * the article types that JATS suggests.
   */
  private static final Map<String, Kind> KINDS =
      Map.<String, Kind>ofEntries(
          entry("journal article", Kind.ARTICLE),
          entry("research article", Kind.ARTICLE),
          entry("peer reviewed article", Kind.ARTICLE),
          entry("data paper", Kind.ARTICLE),
          entry("contribution to periodical", Kind.ARTICLE),
          entry("contribution to journal", Kind.ARTICLE),
          entry("brief report", Kind.ARTICLE),
          entry("case report", Kind.ARTICLE),
          entry("c_6501", Kind.ARTICLE),
          entry("c_2df8fbb1", Kind.ARTICLE),
          entry("c_beb9", Kind.ARTICLE),
          entry("review article", Kind.REVIEW),
          entry("systematic review", Kind.REVIEW),
          entry("c_dcae04bc", Kind.REVIEW),
          entry("c_efa0", Kind.REVIEW),
          entry("c_816b", Kind.PREPRINT),
          entry("monograph", Kind.BOOK),
          entry("edited book", Kind.BOOK),
          entry("c_2f33", Kind.BOOK),
          entry("book part", Kind.CHAPTER),
          entry("book section", Kind.CHAPTER),
          entry("book chapter", Kind.CHAPTER),
          entry("contribution to book", Kind.CHAPTER),
          entry("c_3248", Kind.CHAPTER),
          entry("doctoral thesis", Kind.THESIS),
          entry("master thesis", Kind.THESIS),
          entry("bachelor thesis", Kind.THESIS),
          entry("phd thesis", Kind.THESIS),
          entry("dissertation", Kind.THESIS),
          entry("c_46ec", Kind.THESIS),
          entry("c_db06", Kind.THESIS),
          entry("c_bdcc", Kind.THESIS),
          entry("c_7a1f", Kind.THESIS),
          entry("working paper", Kind.REPORT),
          entry("technical report", Kind.REPORT),
          entry("research report", Kind.REPORT),
          entry("c_93fc", Kind.REPORT),
          entry("c_18gh", Kind.REPORT),
          entry("c_8042", Kind.REPORT),
          entry("conference object", Kind.CONFERENCE_PAPER),
          entry("conference contribution", Kind.CONFERENCE_PAPER),
          entry("conference item", Kind.CONFERENCE_PAPER),
          entry("conference poster", Kind.CONFERENCE_PAPER),
          entry("proceedings paper", Kind.CONFERENCE_PAPER),
          entry("meeting report", Kind.CONFERENCE_PAPER),
          entry("c_5794", Kind.CONFERENCE_PAPER),
          entry("c_c94f", Kind.CONFERENCE_PAPER),
          entry("c_6670", Kind.CONFERENCE_PAPER),
          entry("data set", Kind.DATASET),
          entry("research data", Kind.DATASET),
          entry("c_ddb1", Kind.DATASET),
          entry("c_b239", Kind.EDITORIAL),
          entry("letter to the editor", Kind.LETTER),
          entry("letter to editor", Kind.LETTER),
          entry("c_545b", Kind.LETTER),
          entry("corrigendum", Kind.NOTICE),
          entry("c_7acd", Kind.NOTICE));

  /** RFC 3986, with a name or numbers as host and nobody's name before it. */
  private static final Pattern ADDRESS =
      Pattern.compile(
          "(?i)https?://([a-z0-9](?:[a-z0-9.-]*[a-z0-9])?)(?::\\d{1,5})?"
              + "(?:[/?](?:[\\w.~:/?@!$&'()*+,;=-]|%[0-9a-f]{2})*)?"
              + "(?:#(?:[\\w.~:/?@!$&'()*+,;=-]|%[0-9a-f]{2})*)?");

  private static final int LONGEST_ADDRESS = 800;

  private Supplied() {}

  /** The first DOI in a text, without what stands around it; empty if there is none. */
  public static String doi(String text) {
    Matcher doi = DOI.matcher(text);
    if (!doi.find()) {
      return "";
    }
    String found = doi.group().replaceAll("[.,;:]+$", "");
    boolean opens = found.indexOf('(') < 0;
    return opens ? found.replaceAll("\\)+$", "") : found;
  }

  /**
   * An address that something can be met at; none for one that only names the work, as that of a
   * DOI does.
   */
  static Optional<String> address(String text) {
    Matcher address = ADDRESS.matcher(text);
    if (!address.matches() || text.length() > LONGEST_ADDRESS) {
      return Optional.empty();
    }
    String host = address.group(1).toLowerCase(Locale.ROOT);
    boolean onlyNames = host.equals("doi.org") || host.endsWith(".doi.org");
    return onlyNames ? Optional.empty() : Optional.of(text);
  }

  /** What is at an address, by its media type if that is said, else by how it ends. */
  static Copy.Use use(String address, String mediaType, Copy.Use otherwise) {
    String said = mediaType.toLowerCase(Locale.ROOT);
    if (said.contains("pdf") || address.toLowerCase(Locale.ROOT).matches(".*\\.pdf(?:[?#].*)?")) {
      return Copy.Use.FILE;
    }
    return otherwise;
  }

  /** The first ISSN in a text, with its hyphen; empty if there is none. */
  public static String issn(String text) {
    Matcher issn = ISSN.matcher(text);
    return issn.find() ? issn.group(1) + "-" + issn.group(2).toUpperCase(Locale.ROOT) : "";
  }

  /** Empty if there is none. */
  static String orcid(String text) {
    Matcher orcid = ORCID.matcher(text);
    return orcid.find() ? orcid.group() : "";
  }

  /** ISO 639-1, from codes of two or three letters with or without a region, or English names. */
  public static String language(String text) {
    String word = text.strip().toLowerCase(Locale.ROOT);
    String code = word.split("[-_;,/ ]", 2)[0];
    return Stream.of(word, code)
        .flatMap(name -> Stream.of(BIBLIOGRAPHIC.get(name), LANGUAGES.get(name)))
        .filter(known -> known != null)
        .findFirst()
        .orElse("");
  }

  private static Map<String, String> languages() {
    Map<String, String> languages = new java.util.HashMap<>();
    for (String code : Locale.getISOLanguages()) {
      Locale locale = new Locale(code);
      languages.put(code, code);
      languages.put(locale.getISO3Language(), code);
      languages.put(locale.getDisplayLanguage(Locale.ENGLISH).toLowerCase(Locale.ROOT), code);
    }
    return Map.copyOf(languages);
  }

  /** The kind that a word, an address that ends in one, or a number of COAR's stands for. */
  public static Optional<Kind> kind(String type) {
    String last = type.strip().replaceAll("/+$", "");
    String word =
        last.substring(last.lastIndexOf('/') + 1)
            .replaceAll("(?<=[a-z])(?=[A-Z])", " ")
            .replaceAll("[-\\s]+", " ")
            .toLowerCase(Locale.ROOT);
    return Kind.named(word).or(() -> Optional.ofNullable(KINDS.get(word)));
  }

  /**
   * A date however it is written, as far as it is sure: {@code 2013-05-12T10:00:00Z}, {@code
   * 20130512}, {@code 12.05.2013}, {@code May 12th, 2013}, {@code [c2013]}. Of {@code 05/12/2013}
   * only the year is. One that cannot be is none.
   */
  public static Optional<PartialDate> date(String text) {
    String date = text.strip();
    if (LIKE_ONE.matcher(date).matches()) {
      return PartialDate.read(date);
    }
    Matcher iso = ISO.matcher(date);
    if (iso.matches()) {
      return dashed(iso.group(1), iso.group(3), iso.group(4));
    }
    Matcher dayFirst = DAY_FIRST.matcher(date);
    if (dayFirst.matches()) {
      return dashed(dayFirst.group(3), dayFirst.group(2), dayFirst.group(1));
    }
    return inWords(date);
  }

  private static Optional<PartialDate> inWords(String date) {
    Matcher year = YEAR.matcher(date);
    if (!year.find()) {
      return Optional.empty();
    }
    List<Integer> months =
        MONTH
            .matcher(date)
            .results()
            .map(m -> MONTHS.indexOf(m.group(1).toLowerCase(Locale.ROOT)) + 1)
            .distinct()
            .toList();
    // Of a stretch of months the year is what is sure.
    String month = months.size() == 1 ? String.valueOf(months.get(0)) : "";
    List<String> days = DAY.matcher(date).results().map(MatchResult::group).toList();
    String day = month.isEmpty() || days.size() != 1 ? "" : days.get(0).replaceAll("\\D", "");
    return dashed(year.group(), month, day)
        .or(() -> dashed(year.group(), month, ""))
        .or(() -> PartialDate.read(year.group()));
  }

  private static Optional<PartialDate> dashed(String year, String month, String day) {
    String text = year;
    if (!month.isEmpty()) {
      text += "-" + twoDigits(month);
    }
    if (!month.isEmpty() && !day.isEmpty()) {
      text += "-" + twoDigits(day);
    }
    return PartialDate.read(text);
  }

  private static String twoDigits(String number) {
    return number.length() == 1 ? "0" + number : number;
  }
}
