package org.quietlantern.server.arrival;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.quietlantern.core.review.Coverage;
import org.quietlantern.core.review.Duty;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.arrival.RoundMapper.FoundRow;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.CurrentMark;
import org.springframework.stereotype.Component;

/** Which arrivals are left, by the rules by which rounds are counted. */
@Component
class WhatIsLeft {
  private static final String NOBODY = "nobody";
  private static final String UNCOVERED = "uncovered";
  private final Duties duties;

  WhatIsLeft(Duties duties) {
    this.duties = duties;
  }

  /**
   * Those of a round that are left.
   *
   * @param of a member by public id, {@code nobody} (has seen it) or {@code uncovered}
   * @param asked what covers an arrival
   * @param said by occasion
   */
  Predicate<FoundRow> in(
      Member who,
      List<Groups.InGroup> reviewers,
      String of,
      Coverage.Asked asked,
      Map<Integer, List<CurrentMark>> said) {
    Predicate<FoundRow> left =
        switch (of) {
          case NOBODY -> seenByNobody(said);
          case UNCOVERED -> withFewer(asked, asked.of(reviewers.size()), said);
          default ->
              owedBy(
                  reviewers.stream()
                      .filter(one -> one.pid().equals(of))
                      .findFirst()
                      .orElseThrow(Refusal::unknown)
                      .id(),
                  who,
                  reviewers,
                  said);
        };
    return left.and(FoundRow::isOwed);
  }

  /** Those that a member (row number) owes. */
  Predicate<FoundRow> owedBy(
      int member,
      Member who,
      List<Groups.InGroup> reviewers,
      Map<Integer, List<CurrentMark>> said) {
    return of(member, who, reviewers, said, Duty::owes);
  }

  /** Those that rest for a member (row number). */
  Predicate<FoundRow> restingFor(
      int member,
      Member who,
      List<Groups.InGroup> reviewers,
      Map<Integer, List<CurrentMark>> said) {
    return of(member, who, reviewers, said, Duty::rests);
  }

  /** What is so of what came at a moment, by the member's lamp on it. */
  private interface ByDuty {
    boolean is(Duty duty, Instant came, Lamp lamp);
  }

  private Predicate<FoundRow> of(
      int member,
      Member who,
      List<Groups.InGroup> reviewers,
      Map<Integer, List<CurrentMark>> said,
      ByDuty by) {
    Optional<Duty> duty =
        Optional.ofNullable(duties.of(who.group(), reviewers, who.zoneId()).get(member));
    return one ->
        duty.map(its -> by.is(its, one.came(), CurrentMark.lampOf(member, saidOf(one, said))))
            .orElse(false);
  }

  /** Those that somebody else keeps or brings to the group. */
  static Predicate<FoundRow> wantedByOthers(int member, Map<Integer, List<CurrentMark>> said) {
    return one ->
        saidOf(one, said).stream()
            .anyMatch(
                mark ->
                    mark.member() != member
                        && (mark.mark() == Mark.KEEP || mark.mark() == Mark.RAISE));
  }

  static Predicate<FoundRow> seenByNobody(Map<Integer, List<CurrentMark>> said) {
    return withFewer(Coverage.SEEN_BY_SOMEBODY, 1, said);
  }

  private static Predicate<FoundRow> withFewer(
      Coverage.Asked asked, int needed, Map<Integer, List<CurrentMark>> said) {
    return one ->
        asked.counted(saidOf(one, said).stream().map(CurrentMark::mark).toList()) < needed;
  }

  private static List<CurrentMark> saidOf(FoundRow one, Map<Integer, List<CurrentMark>> said) {
    return said.getOrDefault(one.occasion(), List.of());
  }
}
