package org.quietlantern.server.arrival;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
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

  /** What is listed: what a member owes, what nobody has seen, what rests for a member. */
  enum Of {
    OWED,
    NOBODY,
    RESTED;

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
   * @param said what everybody said of it, by occasion
   * @param next the last round of it (row number); none where nothing comes after it
   */
  record Part(List<FoundRow> found, Map<Integer, List<CurrentMark>> said, @Nullable Integer next) {}

  RoundLists(RoundMapper mapper, RoundContents contents, WhatIsLeft left, Reviews reviews) {
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
    };
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
    List<FoundRow> found = new ArrayList<>();
    Map<Integer, List<CurrentMark>> said = new HashMap<>();
    int last = after;
    boolean more = true;
    // Where little of it is asked for, one looks on until there is enough.
    while (more && found.size() < most) {
      List<RoundMapper.Waits> waits = waits(who, list, last, most);
      List<Integer> rounds = fill(waits, most);
      List<FoundRow> all = contents.inOrder(rounds);
      Map<Integer, List<CurrentMark>> its =
          reviews.onOccasions(
              who.group(), all.stream().map(FoundRow::occasion).distinct().toList());
      all.stream()
          .filter(FoundRow::isOwed)
          .filter(belongs(who, reviewers, list, its))
          .filter(only.of(its))
          .forEach(found::add);
      said.putAll(its);
      more = rounds.size() < waits.size() || waits.size() == most;
      last = rounds.isEmpty() ? last : rounds.get(rounds.size() - 1);
    }
    return new Part(found, said, more ? last : null);
  }

  private List<RoundMapper.Waits> waits(Member who, Of list, int after, int most) {
    return switch (list) {
      case OWED -> who.mayWrite() ? mapper.owedIn(who.group(), who.id(), after, most) : List.of();
      case RESTED ->
          who.mayWrite() ? mapper.restedIn(who.group(), who.id(), after, most) : List.of();
      case NOBODY -> mapper.unseenIn(who.group(), after, most);
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
      case OWED -> left.owedBy(who.id(), who, reviewers, said);
      case RESTED -> left.restingFor(who.id(), who, reviewers, said);
      case NOBODY -> WhatIsLeft.seenByNobody(said);
    };
  }
}
