package org.quietlantern.server.review;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.review.ReviewEvent;
import org.quietlantern.core.review.Standing;
import org.quietlantern.server.platform.job.MendingCheck;
import org.quietlantern.server.platform.job.TakenBack;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Works out lamps from the events by core's rule, and mends those that are not so. */
@Component
@Order(1)
class LampCheck implements MendingCheck {
  private final ReviewMapper mapper;
  private final TakenBack takenBack;

  LampCheck(ReviewMapper mapper, TakenBack takenBack) {
    this.mapper = mapper;
    this.takenBack = takenBack;
  }

  @Override
  public String what() {
    return "lamps";
  }

  @Override
  public int look() {
    return takenBack.count(this::mend);
  }

  /** Over one state of the database: a mark that is made meanwhile is no difference. */
  @Override
  @Transactional(isolation = Isolation.REPEATABLE_READ)
  public int mend() {
    return mapper.reviewers().stream().mapToInt(this::mend).sum();
  }

  private int mend(int membership) {
    Map<Integer, Integer> ought = ought(mapper.events(membership));
    Map<Integer, Integer> is =
        mapper.lamps(membership).stream()
            .collect(Collectors.toMap(ReviewMapper.LampRow::occasion, ReviewMapper.LampRow::event));
    Set<Integer> occasions = new HashSet<>(ought.keySet());
    occasions.addAll(is.keySet());
    occasions.removeIf(
        occasion ->
            Optional.ofNullable(ought.get(occasion)).equals(Optional.ofNullable(is.get(occasion))));
    mapper.settle(membership, occasions.toArray(Integer[]::new));
    return occasions.size();
  }

  /** The mark in force by occasion. */
  private static Map<Integer, Integer> ought(List<ReviewMapper.Event> events) {
    return events.stream()
        .collect(
            Collectors.groupingBy(
                ReviewMapper.Event::occasion,
                Collectors.mapping(LampCheck::event, Collectors.toList())))
        .entrySet()
        .stream()
        .flatMap(
            one ->
                Standing.of(one.getValue()).stream()
                    .map(mark -> Map.entry(one.getKey(), mark.number())))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  private static ReviewEvent event(ReviewMapper.Event row) {
    return new ReviewEvent(
        row.id(),
        Mark.named(row.what()),
        Optional.ofNullable(row.undoes()),
        row.reason(),
        row.at());
  }
}
