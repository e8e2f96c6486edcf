package org.quietlantern.server.arrival;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What stands in rounds, newest here first. */
@Component
class RoundContents {
  private final RoundMapper mapper;

  RoundContents(RoundMapper mapper) {
    this.mapper = mapper;
  }

  /** Round by round, in this order. */
  List<RoundMapper.FoundRow> inOrder(List<Integer> rounds) {
    Map<Integer, List<RoundMapper.FoundRow>> all = of(rounds);
    return rounds.stream().flatMap(one -> all.getOrDefault(one, List.of()).stream()).toList();
  }

  /** What another alert found, too, once an occasion. */
  List<RoundMapper.FoundRow> once(List<RoundMapper.FoundRow> found) {
    Set<List<Object>> seen = new HashSet<>();
    return found.stream()
        .filter(one -> !one.hereSince() && seen.add(List.of(one.publication(), one.on())))
        .toList();
  }

  /** By round. Two that turned out to be one work since stand in a round once an occasion. */
  Map<Integer, List<RoundMapper.FoundRow>> of(List<Integer> rounds) {
    Set<List<Object>> seen = new HashSet<>();
    return mapper.found(rounds.toArray(Integer[]::new)).stream()
        .filter(f -> seen.add(List.of(f.round(), f.publication(), f.on())))
        .collect(Collectors.groupingBy(RoundMapper.FoundRow::round));
  }
}
