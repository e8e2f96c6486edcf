package org.quietlantern.core.holdings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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
}
