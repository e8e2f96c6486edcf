package org.quietlantern.server.arrival;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.arrival.RoundMapper.FoundRow;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Component;

/**
 * Arrivals of all rounds that have something in common. Which rounds have some is known by their
 * counts, and which of their arrivals these are by the same rules, so that no list has more or less
 * than the board says.
 */
@Component
class RoundLists {
  /** Arrivals on a page, at least; a round is never cut. */
  private static final int PAGE = 60;

  private final RoundMapper mapper;
  private final RoundContents contents;
  private final WhatIsLeft left;
  private final Reviews reviews;
  private final Duties duties;

  /**
   * What is listed: what a member owes, what nobody has seen, what rests for a member, and of what
   * a member owes that which comes again: works that the group had decided on, and that changed.
   */
  enum Of {
    OWED,
    NOBODY,
    RESTED,
    CHANGED;

    String word() {
      return name().toLowerCase(Locale.ROOT);
    }

    static Optional<Of> named(String word) {
      return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
    }
  }

  /**
   * A part of a list.
   *
   * @param whole how much is in the list
   * @param said what everybody said of it, by occasion
   * @param next the last round of it (row number); none where nothing comes after it
   */
  record Part(
      List<FoundRow> found,
      int whole,
      Map<Integer, List<CurrentMark>> said,
      @Nullable Integer next) {}

  RoundLists(
      RoundMapper mapper, RoundContents contents, WhatIsLeft left, Reviews reviews, Duties duties) {
    this.duties = duties;
    this.mapper = mapper;
    this.contents = contents;
    this.left = left;
    this.reviews = reviews;
  }

  /** How much is in a list. Guests owe nothing, and let nothing rest. */
  int count(Member who, Of list) {
    return switch (list) {
      case OWED -> who.mayWrite() ? mapper.owed(who.group(), who.id()) : 0;
      case RESTED -> who.mayWrite() ? mapper.rested(who.group(), who.id()) : 0;
      case NOBODY -> mapper.unseen(who.group());
      case CHANGED -> changed(who, duties.reviewers(who.group())).found().size();
    };
  }

  /** All of it: it is little. */
  private Part changed(Member who, List<Groups.InGroup> reviewers) {
    List<FoundRow> again =
        who.mayWrite()
            ? mapper.foundAgain(who.group(), Occasion.toReviewAgain().toArray(String[]::new))
            : List.of();
    return again.isEmpty()
        ? new Part(List.of(), 0, Map.of(), null)
        : of(who, reviewers, Of.CHANGED, said -> one -> true, contents.once(again));
  }

  /**
   * A page of a list: rounds, whole.
   *
   * @param only which of them alone
   * @param after the last round of the page before (row number); 0 for the first page
   */
  Part page(Member who, List<Groups.InGroup> reviewers, Of list, Only only, int after) {
    return part(who, reviewers, list, only, after, PAGE);
  }

  /** All of a list. */
  Part all(Member who, List<Groups.InGroup> reviewers, Of list) {
    return part(who, reviewers, list, said -> one -> true, 0, Integer.MAX_VALUE);
  }

  /** Which arrivals alone, by what everybody said of them. */
  interface Only {
    Predicate<FoundRow> of(Map<Integer, List<CurrentMark>> said);
  }

  private Part part(
      Member who, List<Groups.InGroup> reviewers, Of list, Only only, int after, int most) {
    if (list == Of.CHANGED) {
      return changed(who, reviewers);
    }
    List<FoundRow> found = new ArrayList<>();
    Map<Integer, List<CurrentMark>> said = new HashMap<>();
    int last = after;
    boolean more = true;
    int whole = -1;
    // Where little of it is asked for, one looks on until there is enough.
    while (more && found.size() < most) {
      List<RoundMapper.Waits> waits = waits(who, list, last, most);
      List<Integer> rounds = fill(waits, most);
      whole = waits.isEmpty() ? whole : waits.get(0).whole();
      Part its = of(who, reviewers, list, only, contents.inOrder(rounds));
      found.addAll(its.found());
      said.putAll(its.said());
      more = rounds.size() < waits.size() || waits.size() == most;
      last = rounds.isEmpty() ? last : rounds.get(rounds.size() - 1);
    }
    return new Part(found, whole < 0 ? count(who, list) : whole, said, more ? last : null);
  }

  /** What of some arrivals belongs to a list. */
  private Part of(
      Member who, List<Groups.InGroup> reviewers, Of list, Only only, List<FoundRow> all) {
    Map<Integer, List<CurrentMark>> said =
        reviews.onOccasions(who, all.stream().map(FoundRow::occasion).distinct().toList());
    List<FoundRow> its =
        all.stream()
            .filter(FoundRow::isOwed)
            .filter(belongs(who, reviewers, list, said))
            .filter(only.of(said))
            .toList();
    return new Part(its, its.size(), said, null);
  }

  private List<RoundMapper.Waits> waits(Member who, Of list, int after, int most) {
    return switch (list) {
      case OWED -> who.mayWrite() ? mapper.owedIn(who.group(), who.id(), after, most) : List.of();
      case RESTED ->
          who.mayWrite() ? mapper.restedIn(who.group(), who.id(), after, most) : List.of();
      case NOBODY -> mapper.unseenIn(who.group(), after, most);
      case CHANGED -> List.of();
    };
  }

  /** As many of them, whole, as fill a page. */
  private static List<Integer> fill(List<RoundMapper.Waits> waits, int most) {
    List<Integer> rounds = new ArrayList<>();
    int together = 0;
    for (RoundMapper.Waits one : waits) {
      if (together >= most) {
        break;
      }
      rounds.add(one.round());
      together += one.waiting();
    }
    return rounds;
  }

  private Predicate<FoundRow> belongs(
      Member who, List<Groups.InGroup> reviewers, Of list, Map<Integer, List<CurrentMark>> said) {
    return switch (list) {
      case OWED, CHANGED -> left.owedBy(who.id(), who, reviewers, said);
      case RESTED -> left.restingFor(who.id(), who, reviewers, said);
      case NOBODY -> WhatIsLeft.seenByNobody(said);
    };
  }
}
