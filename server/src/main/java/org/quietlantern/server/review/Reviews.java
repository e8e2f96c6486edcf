package org.quietlantern.server.review;

import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Apart;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What members say of publications. Events are only added; lamps are what stands of them, kept in
 * the transaction of the event and compared with the events every night ({@link LampCheck}).
 */
@Service
public class Reviews {
  /** No membership has this row number. */
  private static final int NOBODY = 0;

  private final ReviewMapper mapper;
  private final ReadersApart apart;
  private final ApplicationEventPublisher events;
  private final Calendar calendar;

  /**
   * Told once at the end of a transaction, in it: lamps of a group on works (row numbers) may
   * differ.
   */
  public record LampsChanged(int group, Set<Integer> publications) {}

  /** Whatever is marked in a transaction, however often, is told of once. */
  private final class Marked implements TransactionSynchronization {
    private final Map<Integer, Set<Integer>> works = new HashMap<>();

    @Override
    public void beforeCommit(boolean readOnly) {
      works.forEach((group, ids) -> events.publishEvent(new LampsChanged(group, ids)));
    }

    @Override
    public void afterCompletion(int status) {
      TransactionSynchronizationManager.unbindResource(Reviews.this);
    }
  }

  /** What is told of a work (row number) differs, as a part of what changed it. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void changed(int group, int publication) {
    Marked marked = (Marked) TransactionSynchronizationManager.getResource(this);
    if (marked == null) {
      marked = new Marked();
      TransactionSynchronizationManager.bindResource(this, marked);
      TransactionSynchronizationManager.registerSynchronization(marked);
    }
    marked.works.computeIfAbsent(group, g -> new HashSet<>()).add(publication);
  }

  Reviews(
      ReviewMapper mapper,
      ReadersApart apart,
      ApplicationEventPublisher events,
      Calendar calendar) {
    this.mapper = mapper;
    this.apart = apart;
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

  /** A work and an occasion of it. */
  public record Comes(int publication, Coming on) {}

  /** Row numbers of occasions of any kind, made where they are not there. */
  @Transactional
  public Map<Comes, Integer> occasions(Collection<Comes> all) {
    Map<Comes, Integer> found = new HashMap<>();
    firstComings(
            all.stream()
                .filter(one -> one.on().isFirst())
                .map(Comes::publication)
                .distinct()
                .toList())
        .forEach((work, occasion) -> found.put(new Comes(work, Coming.FIRST), occasion));
    List<Comes> again = all.stream().filter(one -> !one.on().isFirst()).distinct().toList();
    // Somebody else may make one between the two halves of the statement; then it is there.
    for (int tried = 0; tried < 2 && !found.keySet().containsAll(again); tried++) {
      mapper
          .comings(
              again.stream().map(Comes::publication).toArray(Integer[]::new),
              again.stream().map(one -> one.on().occasion().word()).toArray(String[]::new),
              again.stream().map(one -> one.on().key()).toArray(String[]::new))
          .forEach(
              one ->
                  found.put(
                      new Comes(one.publication(), Coming.stored(one.kind(), one.key())),
                      one.id()));
    }
    return found;
  }

  /**
   * Adds a mark on the first coming, as a part of a command; answers the event's number. A keep is
   * refused where the group decides on the work apart: it would tell of itself.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public int mark(Member who, UUID command, int publication, Mark mark, String reason) {
    if (mark == Mark.KEEP && apart.isFirstAmong(who.group(), publication)) {
      throw Refusal.conflict(
          "decided-apart",
          ("Your group decides apart on “%s”. Mark it in Arrivals; it comes into the folder when as"
                  + " many have decided as were asked for.")
              .formatted(apart.title(publication)));
    }
    return mark(who, command, new Comes(publication, Coming.FIRST), mark, reason);
  }

  /** Adds a mark on any occasion; refused as unknown where the work has not come on it. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int mark(Member who, UUID command, Comes marked, Mark mark, String reason) {
    return add(who, command, marked, mark, reason, calendar.now());
  }

  /**
   * Adds a mark of which others are told only that there is one, until it is opened.
   *
   * @param folder that a keep goes into then (row number)
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public int markApart(
      Member who, UUID command, Comes marked, Mark mark, String reason, @Nullable Integer folder) {
    CurrentMark said = new CurrentMark(who.id(), mark, reason, calendar.now());
    return sayAgainApart(who, command, marked, said, folder);
  }

  /** Says again what was said before, at the time that it was said, as a part of an undo. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void sayAgain(Member who, UUID command, Comes marked, CurrentMark said) {
    add(who, command, marked, said.mark(), said.reason(), said.at());
  }

  /** The same of a mark that was made apart; {@code folder}: that a keep goes into. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int sayAgainApart(
      Member who, UUID command, Comes marked, CurrentMark said, @Nullable Integer folder) {
    int event = add(who, command, marked, Apart.told(said.mark()), "", said.at());
    apart.seal(event, said.mark(), said.reason(), folder);
    return event;
  }

  /** A work (row number) on an occasion (row number) of it. */
  public record OnOccasion(int occasion, int publication) {}

  /** Says the same of many, without a reason, as a part of a command; answers the events. */
  @Transactional(propagation = Propagation.MANDATORY)
  public List<Integer> markAll(Member who, UUID command, List<OnOccasion> marked, Mark mark) {
    Integer[] occasions = marked.stream().map(OnOccasion::occasion).toArray(Integer[]::new);
    List<Integer> events =
        mapper.addAll(
            command,
            who.id(),
            occasions,
            marked.stream().map(OnOccasion::publication).toArray(Integer[]::new),
            mark.word(),
            calendar.now());
    mapper.settle(who.id(), occasions);
    marked.forEach(one -> changed(who.group(), one.publication()));
    return events;
  }

  /** Takes marks of many back, by their events, as a part of a command; later ones stay. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeAllBack(Member who, UUID command, List<OnOccasion> marked, List<Integer> events) {
    List<Integer> occasions =
        mapper.undoAll(command, who.id(), events.toArray(Integer[]::new), calendar.now());
    mapper.settle(who.id(), occasions.toArray(Integer[]::new));
    marked.forEach(one -> changed(who.group(), one.publication()));
  }

  private int occasion(Comes of) {
    Coming on = of.on();
    return on.isFirst()
        ? firstComing(of.publication())
        : Optional.ofNullable(mapper.occasion(of.publication(), on.occasion().word(), on.key()))
            .orElseThrow(Refusal::unknown);
  }

  /**
   * Takes back a mark, as a part of a command; later marks stay.
   *
   * @param event its number as {@link #mark} answered it
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(Member who, UUID command, int publication, int event) {
    Integer occasion = mapper.occasionOf(event, who.id());
    if (occasion != null) {
      add(who, command, occasion, publication, "undo", "", event, calendar.now());
    }
  }

  /** Takes back the mark that is in force on an occasion, as a part of a command. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void takeBack(Member who, UUID command, Comes marked) {
    Coming on = marked.on();
    ReviewMapper.InForce last =
        mapper.inForce(who.id(), marked.publication(), on.occasion().word(), on.key());
    if (last != null) {
      takeBack(who, command, marked.publication(), last.event());
    }
  }

  private int add(Member who, UUID command, Comes marked, Mark mark, String reason, Instant at) {
    return add(who, command, occasion(marked), marked.publication(), mark.word(), reason, null, at);
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
    mapper.settle(who.id(), new Integer[] {occasion});
    changed(who.group(), publication);
    return event;
  }

  /** What the group's members say as it is told to everybody, by occasion. */
  @Transactional(readOnly = true)
  public Map<Integer, List<CurrentMark>> toldOn(int group, Collection<Integer> occasions) {
    return byAsked(mapper.onOccasions(group, NOBODY, occasions.toArray(Integer[]::new)));
  }

  /** The same of first comings, by publication: for what leaves the lantern. */
  @Transactional(readOnly = true)
  public Map<Integer, List<CurrentMark>> toldOf(int group, Collection<Integer> publications) {
    return byAsked(mapper.onPublications(group, NOBODY, publications.toArray(Integer[]::new)));
  }

  /** What the group's members say, by occasion, as one of them may read it. */
  @Transactional(readOnly = true)
  public Map<Integer, List<CurrentMark>> onOccasions(Member reader, Collection<Integer> occasions) {
    return byAsked(
        mapper.onOccasions(reader.group(), reader.id(), occasions.toArray(Integer[]::new)));
  }

  /** What the group's members say of first comings, by publication, as one may read it. */
  @Transactional(readOnly = true)
  public Map<Integer, List<CurrentMark>> onPublications(
      Member reader, Collection<Integer> publications) {
    if (publications.isEmpty()) {
      return Map.of();
    }
    return byAsked(
        mapper.onPublications(reader.group(), reader.id(), publications.toArray(Integer[]::new)));
  }

  /** What one member says of the first coming of a publication. */
  @Transactional(readOnly = true)
  public Optional<CurrentMark> of(Member who, int publication) {
    return Optional.ofNullable(of(who, List.of(publication)).get(publication));
  }

  /** What one member says of a work on an occasion. */
  @Transactional(readOnly = true)
  public Optional<CurrentMark> on(Member who, Comes asked) {
    Coming on = asked.on();
    return Optional.ofNullable(mapper.occasion(asked.publication(), on.occasion().word(), on.key()))
        .flatMap(
            occasion ->
                onOccasions(who, List.of(occasion)).getOrDefault(occasion, List.of()).stream()
                    .filter(said -> said.member() == who.id())
                    .findFirst());
  }

  /** What one member says of the first comings of publications, by their row numbers. */
  @Transactional(readOnly = true)
  public Map<Integer, CurrentMark> of(Member who, Collection<Integer> publications) {
    return onPublications(who, publications).entrySet().stream()
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

  /** A work (row number) and whether somebody keeps it; else it was passed. */
  public record Decided(int work, boolean kept) {}

  /** What was kept and passed as it stood at a moment, the oldest first. */
  @Transactional(readOnly = true)
  public List<Decided> decided(int group, Instant at) {
    return mapper.decided(group, at).stream()
        .map(row -> new Decided(row.work(), row.kept()))
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
