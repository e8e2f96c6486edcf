package org.quietlantern.standins.supply;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.quietlantern.standins.corpus.Work;

/**
 * A work as a source describes it.
 *
 * @param version {@code preprint}, {@code accepted} or {@code final}
 * @param doi as this source gives it; empty if it gives none
 * @param versionOf DOI of the final form, where this is an earlier one and the source knows; else
 *     empty
 * @param notices what has since been published about it
 */
public record Entry(
    String identifier,
    Work work,
    String title,
    String version,
    LocalDate date,
    String doi,
    String versionOf,
    Set<Trait> traits,
    List<Notice> notices) {
  public Entry {
    traits = java.util.Collections.unmodifiableSet(new java.util.TreeSet<>(traits));
    notices = List.copyOf(notices);
  }

  /** {@code kind} as in {@link Work}. */
  public record Notice(String kind, String doi, LocalDate date) {}

  static Entry of(String identifier, Work work, Set<Trait> traits) {
    return new Entry(
        identifier, work, work.title(), "final", work.date(), work.doi(), "", traits, List.of());
  }

  public boolean has(Trait trait) {
    return traits.contains(trait);
  }

  public String titleAsShown() {
    return has(Trait.CAPITALS) ? title.toUpperCase(Locale.ROOT) : title;
  }

  /** W3CDTF, as exactly as the source knows it; empty if it does not. */
  public String dateAsShown() {
    if (has(Trait.NO_DATE)) {
      return "";
    }
    String day = date.toString();
    return has(Trait.ONLY_YEAR)
        ? day.substring(0, 4)
        : has(Trait.ONLY_MONTH) ? day.substring(0, 7) : day;
  }

  Entry titled(String other) {
    return new Entry(identifier, work, other, version, date, doi, versionOf, traits, notices);
  }

  Entry as(String otherVersion, LocalDate otherDate, String otherDoi) {
    return new Entry(
        identifier, work, title, otherVersion, otherDate, otherDoi, versionOf, traits, notices);
  }

  Entry versionOf(String finalDoi) {
    return new Entry(identifier, work, title, version, date, doi, finalDoi, traits, notices);
  }

  Entry with(Set<Trait> others) {
    return new Entry(identifier, work, title, version, date, doi, versionOf, others, notices);
  }

  Entry noticed(Notice notice) {
    return new Entry(
        identifier, work, title, version, date, doi, versionOf, traits, List.of(notice));
  }
}
