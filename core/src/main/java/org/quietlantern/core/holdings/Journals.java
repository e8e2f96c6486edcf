package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What is known of journals, by ISSN. */
public final class Journals {
  public static final Journals NONE = new Journals(List.of());

  private final Map<String, Journal> byIssn = new HashMap<>();
  private final List<Journal> all;

  /** A journal that was looked for; {@code by}: the title that it was met by. */
  public record Met(Journal journal, String by) {}

  public Journals(List<Journal> journals) {
    this.all = JournalNames.ordered(journals.stream()).toList();
    journals.forEach(journal -> byIssn.put(journal.issn(), journal));
  }

  /**
   * Whether a journal had its articles reviewed when something appeared in it (rule L8); nothing
   * for a journal that is not known.
   */
  public Optional<Boolean> peerReviewed(String issn, LocalDate appeared) {
    return find(issn)
        .map(j -> j.peerReviewedFrom().map(year -> appeared.getYear() >= year).orElse(false));
  }

  public Optional<Journal> find(String issn) {
    return Optional.ofNullable(byIssn.get(issn));
  }

  /** In the order of their titles, articles in front left out. */
  public List<Journal> all() {
    return all;
  }

  /**
   * Those with all typed words at beginnings of words of one of their titles, present or former, or
   * with that ISSN; all of them for no words. In the order of their titles.
   */
  public Stream<Met> lookUp(String typed) {
    return all.stream()
        .flatMap(
            journal -> JournalNames.met(journal, typed).map(by -> new Met(journal, by)).stream());
  }
}
