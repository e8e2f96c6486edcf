package org.quietlantern.server.arrival;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.search.Explanation;
import org.quietlantern.core.watch.Yield;
import org.quietlantern.server.platform.Json;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What members say of all that an alert found. */
@Service
public class Verdicts {
  private final VerdictMapper mapper;
  private final Json json;

  Verdicts(VerdictMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  /** {@code alert}: its row number. In the order in which it found them. */
  @Transactional(readOnly = true)
  public List<Yield.Came> of(int alert) {
    return mapper.ofAlert(alert).stream()
        .map(
            row ->
                new Yield.Came(
                    row.publication(),
                    Arrays.stream(json.read(row.words(), Explanation[].class))
                        .map(word -> new Yield.Word(word.line(), word.typed()))
                        .collect(Collectors.toSet()),
                    row.kept(),
                    row.passed(),
                    row.seen()))
        .toList();
  }
}
