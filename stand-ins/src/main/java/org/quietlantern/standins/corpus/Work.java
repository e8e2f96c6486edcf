package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A made-up work as it is; what sources say of it may be less.
 *
 * @param original title in the language of the work, where that is not English
 * @param journal none for theses, reports, books, preprints that stayed such
 * @param container book or meeting around it, or the body that issued it; may be empty
 * @param references numbers of works that it cites; empty optional where nobody has a list
 * @param about number of the work that a correction or retraction is about
 */
public record Work(
    int number,
    String kind,
    String title,
    Optional<String> original,
    String language,
    List<Person> authors,
    Optional<Journal> journal,
    String container,
    int volume,
    int issue,
    int firstPage,
    int pages,
    LocalDate date,
    String abstractText,
    List<Topic> topics,
    List<String> keywords,
    Facts facts,
    Optional<List<Integer>> references,
    Optional<Integer> about) {
  public Work {
    authors = List.copyOf(authors);
    topics = List.copyOf(topics);
    keywords = List.copyOf(keywords);
    references = references.map(List::copyOf);
  }

  /** What the study was done on, and what can be said of the text. */
  public record Facts(
      String studyKind,
      String taxon,
      String region,
      List<String> lifeStages,
      List<String> sexes,
      boolean figures,
      boolean open) {}

  /** Whether it stands in a book, {@code container}, without being in a journal. */
  public boolean isPart() {
    return journal.isEmpty() && (kind.equals("chapter") || kind.equals("conference paper"));
  }

  public String doi() {
    return "10.5555/%s.%d.%05d".formatted(letters(), date.getYear(), number);
  }

  private String letters() {
    return journal
        .map(Journal::letters)
        .orElseGet(() -> kind.replaceAll("[^a-z]", "").substring(0, 2));
  }

  public int lastPage() {
    return firstPage + pages - 1;
  }
}
