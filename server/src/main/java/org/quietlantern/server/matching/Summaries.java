package org.quietlantern.server.matching;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.search.SearchContext;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.group.Member;
import org.springframework.stereotype.Service;

/**
 * What every list shows of publications: what is known of them, and how the group stands to them.
 */
@Service
public class Summaries {
  private final GroupContexts circumstances;
  private final Matching matching;
  private final WaysShown texts;

  Summaries(GroupContexts circumstances, Matching matching, WaysShown texts) {
    this.circumstances = circumstances;
    this.matching = matching;
    this.texts = texts;
  }

  /** By row number. */
  public Map<Integer, Summary> of(Member who, Collection<StoredPublication> all) {
    SearchContext reader = circumstances.of(who);
    List<String> dois = all.stream().map(s -> s.publication().doi()).toList();
    Map<String, Integer> cited = matching.citedBy(who, dois);
    Map<Integer, WaysShown.Shown> ways = texts.of(who, reader, all);
    Map<Integer, Summary> summaries = new LinkedHashMap<>();
    for (StoredPublication stored : all) {
      summaries.put(
          stored.id(),
          Summary.of(
              stored,
              reader,
              ways.get(stored.id()).access(),
              ways.get(stored.id()).ways(),
              cited.getOrDefault(stored.publication().doi(), 0)));
    }
    return summaries;
  }

  public Summary of(Member who, StoredPublication stored) {
    return of(who, List.of(stored)).get(stored.id());
  }
}
