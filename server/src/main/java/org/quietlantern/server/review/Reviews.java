package org.quietlantern.server.review;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.review.ReviewEvent;
import org.quietlantern.core.review.Standing;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What members say of publications. Events are only added; what is in force is read from them. */
@Service
public class Reviews {
  private final ReviewMapper mapper;
  private final Calendar calendar;

  Reviews(ReviewMapper mapper, Calendar calendar) {
    this.mapper = mapper;
    this.calendar = calendar;
  }

  /**
   * The occasion of a publication's first coming, be it as something that was merged into it since;
   * made if nobody needed it before.
   */
  @Transactional
  public int firstComing(int publication) {
    return Optional.ofNullable(mapper.firstComing(publication))
        // Somebody else made it between the two halves of the statement.
        .orElseGet(() -> mapper.firstComing(publication));
  }

  /** Adds a mark on the first coming, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void mark(Member who, UUID command, int publication, Mark mark, String reason) {
    add(who, command, publication, mark.word(), reason);
  }

  /** Takes back the member's last mark, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(Member who, UUID command, int publication) {
    add(who, command, publication, "undo", "");
  }

  private void add(Member who, UUID command, int publication, String what, String reason) {
    int occasion = firstComing(publication);
    mapper.add(command, who.id(), occasion, publication, what, reason, calendar.now());
  }

  /** What the group's members say, by occasion. */
  @Transactional(readOnly = true)
  public Map<Integer, List<Said>> onOccasions(int group, Collection<Integer> occasions) {
    return standing(mapper.onOccasions(group, occasions.toArray(Integer[]::new)));
  }

  /** What the group's members say of first comings, by publication. */
  @Transactional(readOnly = true)
  public Map<Integer, List<Said>> onPublications(int group, Collection<Integer> publications) {
    return standing(mapper.onPublications(group, publications.toArray(Integer[]::new)));
  }

  /** What one member says of the first coming of a publication. */
  @Transactional(readOnly = true)
  public Optional<Said> of(Member who, int publication) {
    return onPublications(who.group(), List.of(publication))
        .getOrDefault(publication, List.of())
        .stream()
        .filter(said -> said.member() == who.id())
        .findFirst();
  }

  private static Map<Integer, List<Said>> standing(List<ReviewMapper.Event> events) {
    return events.stream()
        .collect(
            Collectors.groupingBy(
                ReviewMapper.Event::asked,
                Collectors.collectingAndThen(Collectors.toList(), Reviews::byMember)));
  }

  private static List<Said> byMember(List<ReviewMapper.Event> events) {
    return events.stream()
        .collect(Collectors.groupingBy(ReviewMapper.Event::membership))
        .entrySet()
        .stream()
        .sorted(Map.Entry.comparingByKey())
        .flatMap(member -> said(member.getKey(), member.getValue()).stream())
        .toList();
  }

  private static Optional<Said> said(int member, List<ReviewMapper.Event> events) {
    return Standing.of(
            events.stream()
                .map(e -> new ReviewEvent(Mark.named(e.what()), e.reason(), e.at()))
                .toList())
        .map(e -> new Said(member, e.mark().orElseThrow(), e.reason(), e.at()));
  }
}
