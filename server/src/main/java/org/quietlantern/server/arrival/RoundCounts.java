package org.quietlantern.server.arrival;

import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Coverage;
import org.quietlantern.core.review.Duty;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.group.Absences;
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
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

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
  private final Groups groups;
  private final Absences absences;
  private final Publications publications;
  private final TakenBack takenBack;

  RoundCounts(
      RoundMapper mapper,
      RoundContents contents,
      Reviews reviews,
      Groups groups,
      Absences absences,
      Publications publications,
      TakenBack takenBack) {
    this.takenBack = takenBack;
    this.mapper = mapper;
    this.contents = contents;
    this.reviews = reviews;
    this.groups = groups;
    this.absences = absences;
    this.publications = publications;
  }

  /** Counts once, at the end of the transaction, however many marks were made in it. */
  @EventListener
  public void lampChanged(Reviews.LampChanged lamp) {
    Changed pending = (Changed) TransactionSynchronizationManager.getResource(this);
    if (pending == null) {
      pending = new Changed();
      TransactionSynchronizationManager.bindResource(this, pending);
      TransactionSynchronizationManager.registerSynchronization(pending);
    }
    pending.works.computeIfAbsent(lamp.group(), g -> new HashSet<>()).add(lamp.publication());
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

  private final class Changed implements TransactionSynchronization {
    private final Map<Integer, Set<Integer>> works = new HashMap<>();

    @Override
    public void beforeCommit(boolean readOnly) {
      works.forEach((group, ids) -> count(mapper.roundsWith(group, ids.toArray(Integer[]::new))));
    }

    @Override
    public void afterCompletion(int status) {
      TransactionSynchronizationManager.unbindResource(RoundCounts.this);
    }
  }

  /** After something was found, by row numbers of rounds. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int count(List<Integer> rounds) {
    List<RoundMapper.Counted> counted = mapper.counted(rounds.toArray(Integer[]::new));
    Map<Integer, List<RoundMapper.FoundRow>> found = contents.of(rounds);
    Map<Integer, Map<Integer, Duty>> members = new HashMap<>();
    return counted.stream()
        .mapToInt(
            round ->
                count(
                    round,
                    members.computeIfAbsent(round.grp(), this::reviewers),
                    found.getOrDefault(round.id(), List.of())))
        .sum();
  }

  /** What is theirs of each of those who have lamps. */
  private Map<Integer, Duty> reviewers(int group) {
    ZoneId zone = ZoneId.of(groups.settings(group).zone());
    Map<Integer, List<Duty.Absence>> away =
        absences.of(group).stream()
            .collect(
                Collectors.groupingBy(
                    Absences.Away::membership,
                    Collectors.mapping(one -> one.in(zone), Collectors.toList())));
    return groups.people(group).stream()
        .filter(person -> !person.role().equals("guest"))
        .collect(
            Collectors.toMap(
                Groups.InGroup::id,
                person -> new Duty(person.joined(), away.getOrDefault(person.id(), List.of()))));
  }

  /** Answers 1 if something was not as counted before. */
  private int count(
      RoundMapper.Counted round, Map<Integer, Duty> members, List<RoundMapper.FoundRow> found) {
    Map<Integer, List<CurrentMark>> said =
        reviews.onOccasions(
            round.grp(), found.stream().map(RoundMapper.FoundRow::occasion).toList());
    List<Coverage.Arrived> arrived =
        found.stream()
            .filter(f -> !f.hereSince())
            .map(
                f ->
                    new Coverage.Arrived(
                        f.came(), lamps(said.getOrDefault(f.occasion(), List.of()))))
            .toList();
    Coverage coverage = Coverage.of(arrived, members, round.asked());
    int changes =
        mapper.count(
            round.id(),
            !found.isEmpty(),
            coverage.arrivals(),
            coverage.covered(),
            coverage.nobody());
    Integer[] all = members.keySet().toArray(Integer[]::new);
    changes +=
        mapper.countMembers(
            round.id(),
            all,
            each(all, member -> coverage.shares().get(member).reviewed()),
            each(all, member -> coverage.shares().get(member).spared()));
    return Math.min(1, changes);
  }

  private static Integer[] each(Integer[] members, Function<Integer, Integer> of) {
    return Arrays.stream(members).map(of).toArray(Integer[]::new);
  }

  private static Map<Integer, Lamp> lamps(List<CurrentMark> said) {
    return said.stream().collect(Collectors.toMap(CurrentMark::member, s -> s.mark().lamp()));
  }

  /** Follows the catalogue, where works become one. */
  @Transactional
  public void follow() {
    long after = mapper.derivedUpTo(DERIVED);
    long latest = publications.latest();
    if (after < 0) {
      mend();
    } else if (after < latest) {
      count(mapper.roundsOfMerged(after, latest));
    }
    if (after != latest) {
      mapper.deriveUpTo(DERIVED, latest);
    }
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
