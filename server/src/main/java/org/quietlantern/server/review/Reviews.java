package org.quietlantern.server.review;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What members say of publications. Events are only added; lamps are what stands of them, kept in
 * the transaction of the event and compared with the events every night ({@link LampCheck}).
 */
@Service
public class Reviews {
  private final ReviewMapper mapper;
  private final ApplicationEventPublisher events;
  private final Calendar calendar;

  /** Told in the transaction of the event: a lamp of a group on a work (row numbers) may differ. */
  public record LampChanged(int group, int publication) {}

  Reviews(ReviewMapper mapper, ApplicationEventPublisher events, Calendar calendar) {
    this.mapper = mapper;
    this.events = events;
    this.calendar = calendar;
  }

  /**
   * The occasion of a publication's first coming, be it as something that was merged into it since;
   * made if nobody needed it before.
   */
  @Transactional
  public int firstComing(int publication) {
    return firstComings(List.of(publication)).get(publication);
  }

  /** The same of several, by publication. */
  @Transactional
  public Map<Integer, Integer> firstComings(Collection<Integer> publications) {
    Map<Integer, Integer> found = new HashMap<>();
    Set<Integer> missing = Set.copyOf(publications);
    // Somebody else may make one between the two halves of the statement; then it is there.
    for (int tried = 0; tried < 2 && !missing.isEmpty(); tried++) {
      mapper
          .firstComings(missing.toArray(Integer[]::new))
          .forEach(one -> found.put(one.publication(), one.occasion()));
      missing =
          publications.stream().filter(p -> !found.containsKey(p)).collect(Collectors.toSet());
    }
    return found;
  }

  /** Adds a mark on the first coming, as a part of a command; answers the event's number. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int mark(Member who, UUID command, int publication, Mark mark, String reason) {
    return add(
        who,
        command,
        firstComing(publication),
        publication,
        mark.word(),
        reason,
        null,
        calendar.now());
  }

  /** Says again what was said before, at the time that it was said, as a part of an undo. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void sayAgain(Member who, UUID command, int publication, CurrentMark said) {
    add(
        who,
        command,
        firstComing(publication),
        publication,
        said.mark().word(),
        said.reason(),
        null,
        said.at());
  }

  /**
   * Takes back a mark, as a part of a command; later marks stay.
   *
   * @param event its number as {@link #mark} answered it; none: the mark in force
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(Member who, UUID command, int publication, @Nullable Integer event) {
    Integer undone = event;
    if (undone == null) {
      ReviewMapper.InForce last = mapper.inForce(who.id(), publication);
      undone = last == null ? null : last.event();
    }
    Integer occasion = undone == null ? null : mapper.occasionOf(undone, who.id());
    if (occasion != null) {
      add(who, command, occasion, publication, "undo", "", undone, calendar.now());
    }
  }

  private int add(
      Member who,
      UUID command,
      int occasion,
      int publication,
      String what,
      String reason,
      @Nullable Integer undoes,
      Instant at) {
    int event =
        mapper.add(
            new ReviewMapper.NewEvent(
                command, who.id(), occasion, publication, what, reason, undoes, at));
    mapper.settle(who.id(), occasion);
    events.publishEvent(new LampChanged(who.group(), publication));
    return event;
  }

  /** What the group's members say, by occasion. */
  @Transactional(readOnly = true)
  public Map<Integer, List<CurrentMark>> onOccasions(int group, Collection<Integer> occasions) {
    return byAsked(mapper.onOccasions(group, occasions.toArray(Integer[]::new)));
  }

  /** What the group's members say of first comings, by publication. */
  @Transactional(readOnly = true)
  public Map<Integer, List<CurrentMark>> onPublications(
      int group, Collection<Integer> publications) {
    return byAsked(mapper.onPublications(group, publications.toArray(Integer[]::new)));
  }

  /** What one member says of the first coming of a publication. */
  @Transactional(readOnly = true)
  public Optional<CurrentMark> of(Member who, int publication) {
    return Optional.ofNullable(of(who, List.of(publication)).get(publication));
  }

  /** What one member says of the first comings of publications, by their row numbers. */
  @Transactional(readOnly = true)
  public Map<Integer, CurrentMark> of(Member who, Collection<Integer> publications) {
    return onPublications(who.group(), publications).entrySet().stream()
        .flatMap(
            one ->
                one.getValue().stream()
                    .filter(said -> said.member() == who.id())
                    .map(said -> Map.entry(one.getKey(), said)))
        .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
  }

  /**
   * What a colleague raised.
   *
   * @param publication row number of the work as it is known now
   * @param question may be empty
   */
  public record Raised(int publication, String by, String question, Instant at) {}

  /** What was raised by others and the member has said nothing of since, the latest first. */
  @Transactional(readOnly = true)
  public List<Raised> raisedFor(Member who, int most) {
    return mapper.raised(who.group(), who.id(), most).stream()
        .map(
            row ->
                new Raised(
                    row.publication(),
                    Optional.ofNullable(row.name()).orElse("A former member"),
                    row.reason(),
                    row.at()))
        .toList();
  }

  private static Map<Integer, List<CurrentMark>> byAsked(List<ReviewMapper.MarkRow> rows) {
    return rows.stream()
        .collect(
            Collectors.groupingBy(
                ReviewMapper.MarkRow::asked,
                Collectors.mapping(Reviews::said, Collectors.toList())));
  }

  private static CurrentMark said(ReviewMapper.MarkRow row) {
    return new CurrentMark(
        row.membership(), Mark.named(row.what()).orElseThrow(), row.reason(), row.at());
  }
}
