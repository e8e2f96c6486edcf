package org.quietlantern.server.arrival;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;

/**
 * Lets a heap rest, as one act (rule V2): what waits for a member is neither reviewed nor owed
 * then, and stands in a list of its own.
 */
@Service
class LettingRest implements CommandKinds {
  private final RoundLists lists;
  private final RoundMapper mapper;
  private final Duties duties;
  private final Reviews reviews;
  private final Commands commands;
  private final CommandKind<Rested, Before> rest =
      new CommandKind<>("review.rest", Rested.class, Before.class, this::takeBack);

  /**
   * What is to rest.
   *
   * @param alert in whose rounds alone; none: in all
   * @param before the first day, in the group's zone, of which nothing is to rest; none: all that
   *     is here
   */
  record ToRest(@Nullable String alert, @Nullable LocalDate before) {}

  /** How many were let rest. */
  record Rested(int arrivals) {}

  /** What an undo needs to know. */
  record Before(List<Reviews.OnOccasion> marked, List<Integer> events) {}

  LettingRest(
      RoundLists lists, RoundMapper mapper, Duties duties, Reviews reviews, Commands commands) {
    this.lists = lists;
    this.mapper = mapper;
    this.duties = duties;
    this.reviews = reviews;
    this.commands = commands;
  }

  Rested rest(Member who, UUID command, ToRest asked) {
    return commands.run(who, command, rest, () -> rested(who, command, asked));
  }

  private CommandResult<Rested, Before> rested(Member who, UUID command, ToRest asked) {
    List<RoundMapper.FoundRow> found = owed(who, asked);
    if (found.isEmpty()) {
      throw Refusal.conflict("changed-since", "Nothing of that waits for you any more.");
    }
    List<Reviews.OnOccasion> marked =
        found.stream()
            .map(one -> new Reviews.OnOccasion(one.occasion(), one.publication()))
            .distinct()
            .toList();
    List<Integer> events = reviews.markAll(who, command, marked, Mark.REST);
    return CommandResult.of(new Rested(marked.size()), new Before(marked, events))
        .changing(found.stream().map(one -> changed(who, one)).distinct().toList());
  }

  private static String changed(Member who, RoundMapper.FoundRow one) {
    return Marking.changed(who, new Coming.Of(Integer.toString(one.publication()), one.on()));
  }

  private List<RoundMapper.FoundRow> owed(Member who, ToRest asked) {
    List<Groups.InGroup> reviewers = duties.reviewers(who.group());
    List<RoundMapper.FoundRow> found = lists.all(who, reviewers, RoundLists.Of.OWED).found();
    Instant end =
        asked.before() == null
            ? Instant.MAX
            : asked.before().atStartOfDay(who.zoneId()).toInstant();
    Set<Integer> rounds = asked.alert() == null ? Set.of() : roundsOf(who, asked.alert(), found);
    return found.stream()
        .filter(one -> one.came().isBefore(end))
        .filter(one -> asked.alert() == null || rounds.contains(one.round()))
        .toList();
  }

  private Set<Integer> roundsOf(Member who, String alert, List<RoundMapper.FoundRow> found) {
    return mapper
        .rows(
            who.group(),
            found.stream().map(RoundMapper.FoundRow::round).distinct().toArray(Integer[]::new))
        .stream()
        .filter(row -> row.alertPid().equals(alert))
        .map(RoundMapper.Row::id)
        .collect(Collectors.toSet());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(rest);
  }

  private String takeBack(Member who, UUID command, Before before) {
    reviews.takeAllBack(who, command, before.marked(), before.events());
    return "";
  }
}
