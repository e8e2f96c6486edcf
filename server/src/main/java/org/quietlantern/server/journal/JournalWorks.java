package org.quietlantern.server.journal;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.holdings.Journal;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is here of a journal, under whichever of its titles. */
@Service
@Transactional(readOnly = true)
public class JournalWorks {
  private final Matching matching;

  JournalWorks(Matching matching) {
    this.matching = matching;
  }

  /** Titles by ISSN; of what is no journal, none. */
  public Map<String, String> titles(Member who, Collection<String> issns) {
    return matching.look(
        who,
        look ->
            issns.stream()
                .distinct()
                .flatMap(
                    issn ->
                        look.circumstances().journals().find(issn).stream()
                            .map(journal -> Map.entry(issn, journal.title())))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue)));
  }

  /** Row numbers of all works; refused where no such journal is known. */
  public Integer[] works(Member who, String issn) {
    return matching.look(
        who,
        look -> {
          Journal journal =
              look.circumstances().journals().find(issn).orElseThrow(Refusal::unknown);
          Strategy strategy = new Strategy(List.of(JournalLines.in(journal)));
          return Arrays.stream(look.snapshot().all(look.compile(strategy)).toArray())
              .boxed()
              .toArray(Integer[]::new);
        });
  }
}
