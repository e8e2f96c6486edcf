package org.quietlantern.core.reference;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SameWork;
import org.quietlantern.core.text.SavedPage;

/**
 * The references at the end of a paper as somebody pasted them, in whatever style: DOIs, links,
 * citations, or the source of a page that was saved.
 */
public final class ReferenceList {
  /** Entries of one list. */
  public static final int MOST = 1_000;

  /** Letters of a pasted list. */
  public static final int LONGEST = 1_000_000;

  /** Letters of an entry that are read. */
  private static final int LONGEST_ENTRY = 2_000;

  /** Letters that a title has at least, to be told from other words of an entry. */
  private static final int SHORTEST_TITLE = 12;

  private static final Pattern NUMBERED =
      Pattern.compile("^\\s*(?:\\[\\d{1,4}]|\\(\\d{1,4}\\)|\\d{1,4}[.)])\\s+");
  private static final Pattern PAGE =
      Pattern.compile("(?i)<(?:!doctype|html|body|p|li|div|ol|ul|br)\\b");
  private static final Pattern HEADING =
      Pattern.compile("(?i)\\W*(?:references|bibliography|literature(?: cited)?|works cited)\\W*");
  private static final Pattern LINK = Pattern.compile("/p/([0-9a-z]{6,20})\\b");
  private static final Pattern YEAR = Pattern.compile("(?<!\\d)(1[5-9]\\d\\d|20\\d\\d)(?!\\d)");

  /** Where a title may end, or begin: a stop, a question, quotes, the year in brackets. */
  private static final Pattern CUT =
      Pattern.compile(
          "[.?!]\\s+|[.?!]?,?[“”„»«\"]+,?\\s*|[,.]?['‘’],?\\s+|\\s['‘’]|\\)[.,:]?\\s+|,\\s+(?=\\d)");

  /** Pieces of an entry that together may be its title. */
  private static final int MOST_PIECES = 3;

  private ReferenceList() {}

  /**
   * An entry of a list.
   *
   * @param text as it was pasted, on one line, without its number
   * @param doi the first that stands in it; empty for none
   * @param link id of the publication here whose stable link stands in it; empty for none
   * @param titles keys of works ({@link SameWork#keys}) that it may be by what could be its title
   */
  public record Listed(String text, String doi, String link, List<String> titles) {
    public Listed {
      titles = List.copyOf(titles);
    }
  }

  /** How an entry and a work go together. */
  public enum Fit {
    SURE,
    PERHAPS
  }

  /**
   * Entries in their order, {@link #MOST} at most.
   *
   * @param pasted at most {@link #LONGEST} letters; the rest is not read
   */
  public static List<Listed> read(String pasted) {
    String text = pasted.substring(0, Math.min(pasted.length(), LONGEST)).replace("\r\n", "\n");
    if (PAGE.matcher(text).find()) {
      text = SavedPage.words(text);
    }
    List<Listed> listed = new ArrayList<>();
    for (String entry : entries(text)) {
      if (listed.size() < MOST && !HEADING.matcher(entry).matches()) {
        listed.add(listed(entry));
      }
    }
    return listed;
  }

  /** Whether an entry is surely of a work that has its DOI or what may be its title. */
  public static Fit fit(Listed entry, Publication work) {
    if (!entry.doi().isEmpty() && entry.doi().equalsIgnoreCase(work.doi())) {
      return Fit.SURE;
    }
    boolean year =
        YEAR.matcher(entry.text())
            .results()
            .anyMatch(
                found ->
                    work.year()
                        .filter(is -> Math.abs(is - Integer.parseInt(found.group(1))) <= 1)
                        .isPresent());
    String letters = Fold.letters(entry.text());
    boolean author =
        !work.authors().isEmpty() && letters.contains(Fold.letters(work.authors().get(0).family()));
    return year && author ? Fit.SURE : Fit.PERHAPS;
  }

  private static List<String> entries(String text) {
    List<String> lines = text.lines().toList();
    long numbered = lines.stream().filter(line -> NUMBERED.matcher(line).find()).count();
    boolean paragraphs = lines.stream().skip(1).anyMatch(String::isBlank);
    List<StringBuilder> entries = new ArrayList<>();
    boolean ended = true;
    for (String line : lines) {
      if (line.isBlank()) {
        ended = true;
        continue;
      }
      boolean begins =
          numbered > 1
              ? NUMBERED.matcher(line).find()
              : paragraphs ? ended : !Character.isWhitespace(line.charAt(0));
      if (begins || entries.isEmpty()) {
        entries.add(new StringBuilder());
      }
      ended = false;
      join(entries.get(entries.size() - 1), line.strip());
    }
    return entries.stream()
        .map(entry -> NUMBERED.matcher(entry).replaceFirst("").strip())
        .map(entry -> entry.substring(0, Math.min(entry.length(), LONGEST_ENTRY)))
        .filter(entry -> !entry.isBlank())
        .toList();
  }

  /** A word that a line's end divides is one again. */
  private static void join(StringBuilder entry, String line) {
    int end = entry.length();
    boolean divided =
        end > 1
            && entry.charAt(end - 1) == '-'
            && Character.isLetter(entry.charAt(end - 2))
            && !line.isEmpty()
            && Character.isLowerCase(line.charAt(0));
    if (divided) {
      entry.setLength(end - 1);
    } else if (end > 0) {
      entry.append(' ');
    }
    entry.append(line);
  }

  private static Listed listed(String entry) {
    Matcher link = LINK.matcher(entry);
    return new Listed(entry, Supplied.doi(entry), link.find() ? link.group(1) : "", titles(entry));
  }

  /** Each run of pieces of an entry that is long enough, as the key of a title. */
  private static List<String> titles(String entry) {
    List<String> pieces = List.of(CUT.split(entry));
    Set<String> keys = new LinkedHashSet<>();
    for (int from = 0; from < pieces.size(); from++) {
      StringBuilder title = new StringBuilder();
      for (int to = from; to < Math.min(pieces.size(), from + MOST_PIECES); to++) {
        title.append(title.isEmpty() ? "" : ". ").append(pieces.get(to).strip());
        String key = SameWork.titleKey(title.toString());
        if (key.length() >= SHORTEST_TITLE + SameWork.titleKey("").length()) {
          keys.add(key);
        }
      }
    }
    return List.copyOf(keys);
  }
}
