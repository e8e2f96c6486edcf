package org.quietlantern.core.holdings;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Publication;

/**
 * What somebody may read, or has in print, by ISSN and ISBN. A title may have several lines: gaps
 * lie between them.
 */
public final class Holdings {
  public static final Holdings NONE = new Holdings(List.of());

  private final Map<String, List<Title>> byNumber = new HashMap<>();
  private final List<Title> titles;

  /**
   * A title and one stretch of it.
   *
   * @param numbers each an ISSN with its hyphen, or an ISBN of thirteen digits
   * @param readers how many may read it at the same time; empty: nobody says, or all
   * @param place where printed volumes stand; may be empty
   */
  public record Title(
      String name, List<String> numbers, Coverage coverage, OptionalInt readers, String place) {
    public Title {
      numbers = List.copyOf(numbers);
    }

    /** ISSN of the journal of a publication; of what is no part of one its ISBN; else empty. */
    public static String numberOf(Publication publication) {
      String issn = publication.host().issn();
      return issn.isEmpty() ? publication.isbns().stream().findFirst().orElse("") : issn;
    }
  }

  public Holdings(List<Title> titles) {
    this.titles = List.copyOf(titles);
    for (Title title : titles) {
      for (String number : title.numbers()) {
        byNumber.computeIfAbsent(number, i -> new ArrayList<>()).add(title);
      }
    }
  }

  /** All stretches of a title; none if it is not held. */
  public List<Title> of(String number) {
    return byNumber.getOrDefault(number, List.of());
  }

  /** The stretch in which a work is, a free one before the others; none for one without a date. */
  public Optional<Title> covering(Ways.Asked asked, LocalDate today) {
    if (asked.number().isEmpty() || asked.first().isEmpty()) {
      return Optional.empty();
    }
    LocalDate first = asked.first().get();
    LocalDate last = asked.last().orElseThrow();
    return of(asked.number()).stream()
        .filter(title -> title.coverage().covers(first, last, today))
        .min(Comparator.comparing(title -> !title.coverage().free()));
  }

  public List<Title> titles() {
    return titles;
  }

  /** What becomes another: names of titles, in the order of the files. */
  public record Changes(List<String> added, List<String> changed, List<String> gone) {}

  /** A title is the same by its numbers; it is changed if other stretches of it are held. */
  public Changes changesTo(Holdings next) {
    Map<List<String>, List<Title>> before = byNumbers();
    Map<List<String>, List<Title>> after = next.byNumbers();
    List<String> added = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    after.forEach(
        (numbers, stretches) -> {
          List<Title> was = before.remove(numbers);
          if (was == null) {
            added.add(stretches.get(0).name());
          } else if (!coverages(was).equals(coverages(stretches))) {
            changed.add(stretches.get(0).name());
          }
        });
    List<String> gone = before.values().stream().map(left -> left.get(0).name()).toList();
    return new Changes(added, changed, gone);
  }

  private Map<List<String>, List<Title>> byNumbers() {
    Map<List<String>, List<Title>> found = new LinkedHashMap<>();
    titles.forEach(
        title -> found.computeIfAbsent(title.numbers(), i -> new ArrayList<>()).add(title));
    return found;
  }

  private static Set<Coverage> coverages(List<Title> stretches) {
    return stretches.stream().map(Title::coverage).collect(Collectors.toSet());
  }
}
