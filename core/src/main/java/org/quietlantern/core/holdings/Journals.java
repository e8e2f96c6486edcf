package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is known of journals, by ISSN. */
public final class Journals {
  public static final Journals NONE = new Journals(List.of());

  private final Map<String, Journal> byIssn = new HashMap<>();
  private final List<Journal> all;

  /**
   * A journal.
   *
   * @param peerReviewedFrom year since which its articles are reviewed before they appear; empty:
   *     they are not
   */
  public record Journal(
      String issn, String title, String publisher, Optional<Integer> peerReviewedFrom) {}

  public Journals(List<Journal> journals) {
    this.all = List.copyOf(journals);
    journals.forEach(journal -> byIssn.put(journal.issn(), journal));
  }

  /**
   * Whether a journal had its articles reviewed when something appeared in it (rule L8); nothing
   * for a journal that is not known.
   */
  public Optional<Boolean> peerReviewed(String issn, LocalDate appeared) {
    return Optional.ofNullable(byIssn.get(issn))
        .map(j -> j.peerReviewedFrom().map(year -> appeared.getYear() >= year).orElse(false));
  }

  public List<Journal> all() {
    return all;
  }
}
