package org.quietlantern.server.review;

import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.review.Unsettled;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.catalogue.Derived;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.job.MendingCheck;
import org.quietlantern.server.platform.job.TakenBack;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What stands open between the members of each group ({@link Unsettled}): worked out anew in the
 * transaction of what changes it, so that a list of years is read. Every night all of it is held
 * against the marks.
 */
@Service
// After the lamps that it is worked out from.
@Order(2)
public class OpenPoints implements MendingCheck {
  private static final String DERIVED = "what stands open";
  private static final int AT_ONCE = 500;
  private final UnsettledMapper mapper;
  private final ReadableTexts texts;
  private final Derived derived;
  private final TakenBack takenBack;

  OpenPoints(UnsettledMapper mapper, ReadableTexts texts, Derived derived, TakenBack takenBack) {
    this.mapper = mapper;
    this.texts = texts;
    this.derived = derived;
    this.takenBack = takenBack;
  }

  /**
   * A work on which something stands open.
   *
   * @param occasion row number
   * @param work row number
   * @param at since when it stands so
   * @param place what the next page is asked for with
   */
  public record OpenPoint(int occasion, int work, Coming on, Instant at, int place) {}

  /**
   * In a group, the latest first.
   *
   * @param before the place of the last one of the page before; 0 for the first page
   */
  @Transactional(readOnly = true)
  public List<OpenPoint> page(int group, Unsettled what, int before, int most) {
    return mapper.page(group, what.word(), before, most).stream()
        .map(
            row ->
                new OpenPoint(
                    row.occasion(),
                    row.publication(),
                    Coming.stored(row.kind(), row.key()),
                    row.at(),
                    row.event()))
        .toList();
  }

  /** How much stands open in a group; none where nothing does. */
  @Transactional(readOnly = true)
  public Map<Unsettled, Integer> counts(int group) {
    return mapper.counts(group).stream()
        .collect(
            Collectors.toMap(
                row -> Unsettled.named(row.what()).orElseThrow(), UnsettledMapper.Count::open));
  }

  @EventListener
  public void lampsChanged(Reviews.LampsChanged lamps) {
    settle(lamps.group(), lamps.publications());
  }

  /** Only who is a member holds something open. */
  @EventListener
  public void peopleChanged(Groups.PeopleChanged people) {
    mend(people.group());
  }

  /** Works of one group. Answers of how many another thing was said. */
  private int settle(int group, Collection<Integer> works) {
    Integer[] asked = works.stream().sorted().toArray(Integer[]::new);
    Set<UnsettledMapper.Open> ought =
        ought(group, mapper.said(group, asked), mapper.settled(group, asked));
    Set<UnsettledMapper.Open> is = Set.copyOf(mapper.stored(group, asked));
    List<UnsettledMapper.Open> gone = without(is, ought);
    List<UnsettledMapper.Open> made = without(ought, is);
    if (!gone.isEmpty()) {
      mapper.remove(group, whats(gone), each(gone, UnsettledMapper.Open::occasion));
    }
    if (!made.isEmpty()) {
      mapper.add(
          group,
          whats(made),
          each(made, UnsettledMapper.Open::occasion),
          each(made, UnsettledMapper.Open::event));
    }
    Set<Integer> differ = new HashSet<>();
    gone.forEach(one -> differ.add(one.occasion()));
    made.forEach(one -> differ.add(one.occasion()));
    return differ.size();
  }

  private Set<UnsettledMapper.Open> ought(
      int group, List<UnsettledMapper.Said> said, List<UnsettledMapper.Settled> settled) {
    Map<List<Object>, Integer> decided =
        settled.stream()
            .collect(
                Collectors.toMap(
                    one -> List.of(one.work(), one.kind(), one.key()),
                    UnsettledMapper.Settled::event));
    Set<Integer> waitedFor =
        said.stream()
            .filter(one -> one.what().equals(Mark.HOLD_FOR_TEXT.word()))
            .map(UnsettledMapper.Said::work)
            .collect(Collectors.toSet());
    Set<Integer> readable = texts.of(group, waitedFor);
    Set<UnsettledMapper.Open> ought = new HashSet<>();
    said.stream()
        .collect(Collectors.groupingBy(UnsettledMapper.Said::occasion))
        .forEach(
            (occasion, marks) ->
                Unsettled.of(
                        marks.stream().map(OpenPoints::said).toList(),
                        readable.contains(marks.get(0).work()),
                        decided.getOrDefault(
                            List.of(marks.get(0).work(), marks.get(0).kind(), marks.get(0).key()),
                            0))
                    .forEach(
                        (open, event) ->
                            ought.add(new UnsettledMapper.Open(open.word(), occasion, event))));
    return ought;
  }

  /** Groups in which somebody waits for a text. */
  @Transactional(readOnly = true)
  public List<Integer> groupsThatWait() {
    return mapper.groupsThatWait();
  }

  /**
   * Looks which of the texts that a group waits for it can read. A mark that is made meanwhile ends
   * it with {@code ConcurrencyFailureException}; then it is repeated.
   */
  @Transactional(isolation = Isolation.REPEATABLE_READ)
  public void lookForTexts(int group) {
    settle(group, mapper.waitedFor(group));
  }

  /** Of how many works whose text one waited for it can be read now. */
  @Transactional(readOnly = true)
  public int readableFor(Member who) {
    return mapper.readableFor(who.group(), who.id());
  }

  private static Unsettled.Said said(UnsettledMapper.Said row) {
    return new Unsettled.Said(Mark.named(row.what()).orElseThrow(), row.event());
  }

  private static <T> List<T> without(Set<T> all, Set<T> some) {
    return all.stream().filter(one -> !some.contains(one)).toList();
  }

  private static String[] whats(List<UnsettledMapper.Open> all) {
    return all.stream().map(UnsettledMapper.Open::what).toArray(String[]::new);
  }

  private static <T> Integer[] each(List<T> all, Function<T, Integer> of) {
    return all.stream().map(of).toArray(Integer[]::new);
  }

  /** Follows the catalogue, where works become one, or a text that is waited for is opened. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void follow() {
    derived.follow(DERIVED, this::mend, this::settleChanged);
  }

  private void settleChanged(long after, long upTo) {
    mapper.changed(after, upTo).stream()
        .collect(
            Collectors.groupingBy(
                UnsettledMapper.Changed::grp,
                Collectors.mapping(UnsettledMapper.Changed::work, Collectors.toList())))
        .forEach(this::settle);
  }

  @Override
  public String what() {
    return DERIVED;
  }

  @Override
  public int look() {
    return takenBack.count(this::mend);
  }

  /** Over one state of the database: a mark that is made meanwhile is no difference. */
  @Override
  @Transactional(isolation = Isolation.REPEATABLE_READ)
  public int mend() {
    return mapper.groups().stream().mapToInt(this::mend).sum();
  }

  private int mend(int group) {
    int changed = 0;
    int last = 0;
    List<Integer> page;
    do {
      page = mapper.works(group, last, AT_ONCE);
      changed += page.isEmpty() ? 0 : settle(group, page);
      last = page.isEmpty() ? last : page.get(page.size() - 1);
    } while (page.size() == AT_ONCE);
    return changed;
  }
}
