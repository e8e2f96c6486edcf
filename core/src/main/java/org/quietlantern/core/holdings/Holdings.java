package org.quietlantern.core.holdings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What a group may read, by ISSN. A title may have several lines: gaps lie between them. */
public final class Holdings {
  public static final Holdings NONE = new Holdings(List.of());

  private final Map<String, List<Coverage>> byIssn = new HashMap<>();
  private final List<Title> titles;

  /** A title and one stretch of it. {@code issns} as written in the file, hyphen included. */
  public record Title(String name, List<String> issns, Coverage coverage) {
    public Title {
      issns = List.copyOf(issns);
    }
  }

  public Holdings(List<Title> titles) {
    this.titles = List.copyOf(titles);
    for (Title title : titles) {
      for (String issn : title.issns()) {
        byIssn.computeIfAbsent(issn, i -> new ArrayList<>()).add(title.coverage());
      }
    }
  }

  /** All stretches of a title; none if the group does not hold it. */
  public List<Coverage> of(String issn) {
    return byIssn.getOrDefault(issn, List.of());
  }

  public List<Title> titles() {
    return titles;
  }

  /** What becomes another: names of titles, in the order of the files. */
  public record Changes(List<String> added, List<String> changed, List<String> gone) {}

  /** A title is the same by its numbers; it is changed if other stretches of it may be read. */
  public Changes changesTo(Holdings next) {
    Map<List<String>, List<Title>> before = byNumbers();
    Map<List<String>, List<Title>> after = next.byNumbers();
    List<String> added = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    after.forEach(
        (issns, stretches) -> {
          List<Title> was = before.remove(issns);
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
        title -> found.computeIfAbsent(title.issns(), i -> new ArrayList<>()).add(title));
    return found;
  }

  private static Set<Coverage> coverages(List<Title> stretches) {
    return stretches.stream().map(Title::coverage).collect(Collectors.toSet());
  }
}
