package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Coverage;
import org.quietlantern.core.review.Duty;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.catalogue.Derived;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.platform.job.MendingCheck;
import org.quietlantern.server.platform.job.TakenBack;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * How far every round is: counted anew in the transaction of what changes it (a mark, something
 * found, two works that became one), so that a board of years is read, not worked out. Every night
 * all counts are held against what they are counted from.
 */
@Service
// After the lamps that it counts.
@Order(2)
class RoundCounts implements MendingCheck {
  private static final String DERIVED = "counts of rounds";
  private static final int AT_ONCE = 500;
  private final RoundMapper mapper;
  private final RoundContents contents;
  private final Reviews reviews;
  private final Duties duties;
  private final Derived derived;
  private final TakenBack takenBack;

  RoundCounts(
      RoundMapper mapper,
      RoundContents contents,
      Reviews reviews,
      Duties duties,
      Derived derived,
      TakenBack takenBack) {
    this.takenBack = takenBack;
    this.mapper = mapper;
    this.contents = contents;
    this.reviews = reviews;
    this.duties = duties;
    this.derived = derived;
  }

  @EventListener
  public void lampsChanged(Reviews.LampsChanged lamps) {
    count(mapper.roundsWith(lamps.group(), lamps.publications().toArray(Integer[]::new)));
  }

  /** Who owes what differs where somebody comes, goes, or is given another role. */
  @EventListener
  public void peopleChanged(Groups.PeopleChanged people) {
    mapper.forgetOthers(people.group());
    List<Integer> rounds = mapper.ofGroup(people.group());
    for (int at = 0; at < rounds.size(); at += AT_ONCE) {
      count(rounds.subList(at, Math.min(rounds.size(), at + AT_ONCE)));
    }
  }

  /** After something was found, by row numbers of rounds. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int count(List<Integer> rounds) {
    if (rounds.isEmpty()) {
      return 0;
    }
    Map<Integer, List<RoundMapper.FoundRow>> found = contents.of(rounds);
    return mapper.counted(rounds.toArray(Integer[]::new)).stream()
        .collect(Collectors.groupingBy(RoundMapper.Counted::grp, TreeMap::new, Collectors.toList()))
        .entrySet()
        .stream()
        .mapToInt(group -> count(group.getKey(), group.getValue(), found))
        .sum();
  }

  /** How far a round is. */
  private record Far(int round, boolean found, Coverage coverage) {}

  /** What is one member's of a round. */
  private record Share(int round, int member, Coverage.Share share) {}

  /** Rounds of one group. Answers how many were not as counted before. */
  private int count(
      int group, List<RoundMapper.Counted> rounds, Map<Integer, List<RoundMapper.FoundRow>> found) {
    Map<Integer, Duty> members = duties.of(group);
    Map<Integer, List<CurrentMark>> said =
        reviews.toldOn(
            group,
            rounds.stream()
                .flatMap(round -> found.getOrDefault(round.id(), List.of()).stream())
                .map(RoundMapper.FoundRow::occasion)
                .distinct()
                .toList());
    List<Far> far =
        rounds.stream()
            .map(
                round -> {
                  List<RoundMapper.FoundRow> its = found.getOrDefault(round.id(), List.of());
                  return new Far(
                      round.id(),
                      !its.isEmpty(),
                      Coverage.of(arrived(its, said), members, round.wanted()));
                })
            .toList();
    Set<Integer> others =
        new HashSet<>(
            mapper.count(
                each(far, Far::round),
                far.stream().map(Far::found).toArray(Boolean[]::new),
                each(far, one -> one.coverage().arrivals()),
                each(far, one -> one.coverage().covered()),
                each(far, one -> one.coverage().nobody()),
                far.stream()
                    .map(one -> one.coverage().waitingSince().map(Instant::toString).orElse(""))
                    .toArray(String[]::new)));
    List<Share> shares =
        far.stream()
            .flatMap(
                one ->
                    one.coverage().shares().entrySet().stream()
                        .map(of -> new Share(one.round(), of.getKey(), of.getValue())))
            .toList();
    others.addAll(
        mapper.countMembers(
            each(shares, Share::round),
            each(shares, Share::member),
            each(shares, one -> one.share().reviewed()),
            each(shares, one -> one.share().spared()),
            each(shares, one -> one.share().rested())));
    return others.size();
  }

  private static List<Coverage.Arrived> arrived(
      List<RoundMapper.FoundRow> found, Map<Integer, List<CurrentMark>> said) {
    return found.stream()
        .filter(RoundMapper.FoundRow::isOwed)
        .map(f -> new Coverage.Arrived(f.came(), marks(said.getOrDefault(f.occasion(), List.of()))))
        .toList();
  }

  private static <T> Integer[] each(List<T> all, Function<T, Integer> of) {
    return all.stream().map(of).toArray(Integer[]::new);
  }

  private static Map<Integer, Mark> marks(List<CurrentMark> said) {
    return said.stream().collect(Collectors.toMap(CurrentMark::member, CurrentMark::mark));
  }

  /** Follows the catalogue, where works become one. */
  @Transactional
  public void follow() {
    derived.follow(DERIVED, this::mend, (after, upTo) -> count(mapper.roundsOfMerged(after, upTo)));
  }

  @Override
  public String what() {
    return DERIVED;
  }

  @Override
  public int look() {
    return takenBack.count(this::mend);
  }

  /**
   * Over one state of the database: what is counted meanwhile is neither a difference, nor is it
   * overwritten with what was right before.
   */
  @Override
  @Transactional(isolation = Isolation.REPEATABLE_READ)
  public int mend() {
    int changed = mapper.forgetOthers(0);
    int last = 0;
    List<Integer> page;
    do {
      page = mapper.all(last, AT_ONCE);
      changed += count(page);
      last = page.isEmpty() ? last : page.get(page.size() - 1);
    } while (page.size() == AT_ONCE);
    return changed;
  }
}
