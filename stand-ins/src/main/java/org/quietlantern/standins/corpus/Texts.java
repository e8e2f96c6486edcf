package org.quietlantern.standins.corpus;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.quietlantern.standins.print.Document;

/**
 * The works whose text can be read: recent articles open to all, a book, and a thesis of 200 pages
 * or more. A text is written when it is asked for; it is the same each time.
 */
public final class Texts {
  private static final Set<String> ARTICLE_KINDS = Set.of("article", "review", "preprint");
  private static final int ARTICLES = 58;
  private static final int LONG = 200;
  private final Literature literature;
  private final Works works;
  private final Map<Integer, Work> readable = new LinkedHashMap<>();

  public Texts(Literature literature) {
    this.literature = literature;
    this.works = new Works(literature.seed());
    Stream.of(articles(), newest("book", 0), newest("thesis", LONG))
        .flatMap(List::stream)
        .forEach(work -> readable.put(work.number(), work));
  }

  private List<Work> articles() {
    return past()
        .filter(w -> w.kind().equals("article") && w.language().equals("en"))
        .filter(w -> w.facts().open() && !w.abstractText().isEmpty())
        .filter(w -> w.pages() >= 6 && w.pages() <= 10)
        .limit(ARTICLES)
        .toList();
  }

  private List<Work> newest(String kind, int pages) {
    return past().filter(w -> w.kind().equals(kind) && w.pages() >= pages).limit(1).toList();
  }

  /** The newest first. */
  private Stream<Work> past() {
    LocalDate today = Literature.TODAY;
    return literature.works().stream()
        .filter(w -> w.date().isBefore(today) && w.about().isEmpty())
        .sorted(Comparator.comparing(Work::date).reversed().thenComparing(Work::number));
  }

  /** Works with a text, the newest first. */
  public List<Work> works() {
    return List.copyOf(readable.values());
  }

  public Optional<Document> of(int number) {
    return Optional.ofNullable(readable.get(number))
        .map(work -> new Writing(literature, work, works.study(number)).document());
  }

  /** Of any article of which an abstract is known, of books, and of the long ones above. */
  public Optional<Document> ofAny(Work work) {
    return has(work)
        ? Optional.of(new Writing(literature, work, works.study(work.number())).document())
        : Optional.empty();
  }

  /** Whether {@link #ofAny} has one, without writing it. */
  public boolean has(Work work) {
    boolean isShort = ARTICLE_KINDS.contains(work.kind()) && work.pages() > 0;
    return (isShort && !work.abstractText().isEmpty())
        || work.kind().equals("book")
        || readable.containsKey(work.number());
  }

  /** CSV: DOI and where the text is, below {@code address}. */
  public String list(String address) {
    StringBuilder csv = new StringBuilder("doi,html,pdf\r\n");
    for (Work work : readable.values()) {
      String place = address + "/text/" + work.number();
      csv.append("%s,%s.html,%s.pdf\r\n".formatted(work.doi(), place, place));
    }
    return csv.toString();
  }
}
