package org.quietlantern.core.citation.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.publication.Fold;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.text.HtmlSigns;

/** Looks at a work before it is cited (rule C2). */
public final class Checks {
  private static final int SHOUTED = 10;

  /** Tags and entities that were left of a page. Markup that titles may have is none of them. */
  private static final Pattern MARKUP =
      Pattern.compile(
          "&(#\\d+|#x[0-9a-fA-F]+|[a-zA-Z]{2,8});|</?(?!(i|b|sup|sub)>)[a-zA-Z][^<>]{0,40}>");

  private static final Pattern NUMBERS = Pattern.compile("\\d{1,9}");
  private static final Pattern YEAR_OF_DOI =
      Pattern.compile("(?<!\\d)(19[5-9]\\d|20[0-4]\\d)(?!\\d)");

  private static final Map<Kind, Set<CitedField>> NEEDED =
      Map.of(
          Kind.ARTICLE, journal(),
          Kind.REVIEW, journal(),
          Kind.EDITORIAL, Set.of(CitedField.YEAR, CitedField.JOURNAL, CitedField.VOLUME),
          Kind.LETTER, Set.of(CitedField.YEAR, CitedField.JOURNAL, CitedField.VOLUME),
          Kind.PREPRINT, Set.of(CitedField.YEAR, CitedField.DOI),
          Kind.CHAPTER,
              Set.of(CitedField.YEAR, CitedField.JOURNAL, CitedField.PAGES, CitedField.PUBLISHER),
          Kind.CONFERENCE_PAPER, Set.of(CitedField.YEAR, CitedField.JOURNAL),
          Kind.DATASET, Set.of(CitedField.YEAR, CitedField.PUBLISHER, CitedField.DOI));

  private static final Set<CitedField> ALONE = Set.of(CitedField.YEAR, CitedField.PUBLISHER);

  private final StylePrints prints;
  private final Words words;

  private static Set<CitedField> journal() {
    return Set.of(
        CitedField.YEAR, CitedField.JOURNAL, CitedField.VOLUME, CitedField.PAGES, CitedField.DOI);
  }

  /**
   * What is known of a work beyond itself.
   *
   * @param textRead whether somebody of the group says to have read its text
   * @param otherAuthors authors as other sources have them
   */
  public record Beside(boolean textRead, List<List<PersonName>> otherAuthors) {}

  public Checks(StylePrints prints, Words words) {
    this.prints = prints;
    this.words = words;
  }

  /** What is wrong, the worst first. */
  public List<Fault> of(Publication work, Beside beside) {
    List<Fault> faults = new ArrayList<>();
    state(work, beside, faults);
    letters(work, CitedField.TITLE, faults);
    letters(work, CitedField.JOURNAL, faults);
    faults.addAll(new PeopleChecks(work, beside.otherAuthors()).faults(prints.wholeNames()));
    numbers(work, faults);
    missing(work, faults);
    faults.sort(Comparator.comparing(Fault::kind));
    return oneCertainEach(faults);
  }

  /** Two mends of one field undo each other: the second is looked at when the first is done. */
  private static List<Fault> oneCertainEach(List<Fault> faults) {
    Set<CitedField> mended = EnumSet.noneOf(CitedField.class);
    return faults.stream()
        .map(fault -> fault.certain() && !mended.add(fault.field().get()) ? fault.doubted() : fault)
        .toList();
  }

  private static void state(Publication work, Beside beside, List<Fault> faults) {
    if (work.relations().isRetracted()) {
      faults.add(Fault.of(Fault.Kind.RETRACTED, "It was retracted; say so, or cite another."));
    }
    if (CitedItem.isPreprint(work) && !work.relations().versionOf().isEmpty()) {
      faults.add(
          Fault.of(
              Fault.Kind.PREPRINT,
              "A final version is known: doi:%s. Cite that one."
                  .formatted(work.relations().versionOf())));
    }
    if (!beside.textRead()) {
      faults.add(
          Fault.of(
              Fault.Kind.ABSTRACT_ONLY,
              "Nobody of the group has said to have read more than its abstract."));
    }
  }

  private void letters(Publication work, CitedField field, List<Fault> faults) {
    String text = field.of(work);
    if (text.isEmpty() || !prints.fields().contains(field)) {
      return;
    }
    String name = field == CitedField.TITLE ? "The title" : "The name of the journal or book";
    if (MARKUP.matcher(text).find()) {
      String clean =
          HtmlSigns.read(text.replaceAll("</?(?!(i|b|sup|sub)>)[a-zA-Z][^<>]{0,40}>", ""));
      faults.add(
          Fault.mended(
              Fault.Kind.MARKUP,
              field,
              name + " has signs of a page in it.",
              clean.strip(),
              !clean.isBlank()));
      return;
    }
    boolean shouts =
        text.equals(text.toUpperCase(Locale.ROOT))
            && text.chars().filter(Character::isLetter).count() >= SHOUTED;
    boolean isTitle = field == CitedField.TITLE;
    if (shouts) {
      SentenceCase.Made made = SentenceCase.of(text, words);
      faults.add(
          Fault.mended(
              Fault.Kind.CAPITALS,
              field,
              name + " is in capitals throughout.",
              made.text(),
              isTitle && made.certain()));
    } else if (isTitle && !prints.titleCase() && Words.isHeading(text)) {
      SentenceCase.Made made = SentenceCase.of(text, words);
      if (!made.text().equals(text)) {
        faults.add(
            Fault.mended(
                Fault.Kind.CASE,
                field,
                "The style prints titles in sentence case; this one has capitals as a heading.",
                made.text(),
                made.certain()));
      }
    }
    if (isTitle && Fold.letters(text).equals(Fold.letters(work.host().title()))) {
      faults.add(
          Fault.in(
              Fault.Kind.REPEATED,
              CitedField.JOURNAL,
              "The title stands in the place of the journal, too."));
    }
  }

  private void numbers(Publication work, List<Fault> faults) {
    Host host = work.host();
    if (prints.fields().contains(CitedField.PAGES)) {
      pages(work, host, faults);
    }
    Matcher inDoi = YEAR_OF_DOI.matcher(work.doi().replaceFirst("^10\\.\\d+/", ""));
    if (inDoi.find() && work.citedYear().isPresent()) {
      int year = Integer.parseInt(inDoi.group(1));
      if (Math.abs(year - work.citedYear().get()) > 1) {
        faults.add(
            Fault.mended(
                Fault.Kind.YEAR,
                CitedField.YEAR,
                "The record says %d, and the DOI has %d in it."
                    .formatted(work.citedYear().get(), year),
                Integer.toString(year),
                false));
      }
    }
  }

  private static void pages(Publication work, Host host, List<Fault> faults) {
    String first = host.firstPage();
    String last = host.lastPage();
    if (first.matches(".+[–-].+") && (last.isEmpty() || first.endsWith(last))) {
      if (first.matches("(.+?)[–-](.+?)[–-]\\1[–-]\\2")) {
        faults.add(
            Fault.mended(
                Fault.Kind.PAGES,
                CitedField.PAGES,
                "The range of pages stands there twice.",
                first.replaceFirst("(.+?)[–-](.+?)[–-].*", "$1–$2"),
                true));
      }
      return;
    }
    if (!NUMBERS.matcher(first).matches() || !NUMBERS.matcher(last).matches()) {
      return;
    }
    int from = Integer.parseInt(first);
    int to = Integer.parseInt(last);
    // 1234–41 is short for 1234–1241.
    int end =
        last.length() < first.length()
            ? Integer.parseInt(first.substring(0, first.length() - last.length()) + last)
            : to;
    if (end < from) {
      faults.add(
          Fault.mended(
              Fault.Kind.PAGES,
              CitedField.PAGES,
              "The last page, %s, comes before the first, %s.".formatted(last, first),
              last + "–" + first,
              last.length() == first.length()));
    } else if (work.pages() > 0 && end - from + 1 != work.pages()) {
      faults.add(
          Fault.in(
              Fault.Kind.PAGES,
              CitedField.PAGES,
              "The range has %d pages, and the record says %d."
                  .formatted(end - from + 1, work.pages())));
    }
  }

  private void missing(Publication work, List<Fault> faults) {
    // An article that has not appeared yet has no volume.
    Kind kind = CitedItem.isPreprint(work) ? Kind.PREPRINT : work.kind();
    Set<CitedField> asked = NEEDED.getOrDefault(kind, ALONE);
    for (CitedField field : CitedField.values()) {
      boolean needed = field == CitedField.AUTHORS || asked.contains(field);
      if (needed && prints.fields().contains(field) && field.of(work).isEmpty()) {
        faults.add(
            Fault.in(
                Fault.Kind.MISSING,
                field,
                "The style prints %s, and the record has none.".formatted(named(field))));
      }
    }
  }

  private static String named(CitedField field) {
    return switch (field) {
      case AUTHORS -> "authors";
      case PAGES -> "pages";
      case YEAR -> "a year";
      default -> "a " + field.words();
    };
  }
}
