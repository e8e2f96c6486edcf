package org.quietlantern.server.review;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Fate;
import org.quietlantern.core.review.Mark;
import org.quietlantern.core.review.Outcome;
import org.quietlantern.core.watch.Coming;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What a group came to together. It settles what was raised and disputed till then ({@link
 * OpenPoints}), and leaves what each member said.
 */
@Service
public class Decisions {
  private final DecisionMapper mapper;
  private final Reviews reviews;

  /**
   * One that was written down.
   *
   * @param occasion row number
   * @param what the word of an {@link Outcome}
   * @param event the last mark before it
   * @param membership who wrote it down
   * @param folder where a keep was put, and with which reason; row numbers
   * @param folderPid of that folder; none in what is to be added
   */
  public record Decision(
      int id,
      int meeting,
      int occasion,
      String what,
      String words,
      int event,
      int membership,
      Instant at,
      @Nullable Integer folder,
      @Nullable Integer reason,
      @Nullable String folderPid) {}

  /** {@code meeting}: its public id. */
  public record OnWork(Coming on, Outcome outcome, String words, Instant at, String meeting) {}

  /** What a member had said then. */
  public record SaidThen(int member, Mark mark, String reason) {}

  Decisions(DecisionMapper mapper, Reviews reviews) {
    this.mapper = mapper;
    this.reviews = reviews;
  }

  /** The number of the last mark that anybody made. */
  @Transactional(readOnly = true)
  public int lastEvent() {
    return mapper.lastEvent();
  }

  /** Adds one on a work (row number), as a part of a command; answers its number. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int add(int group, int work, Decision decision) {
    int id = mapper.add(group, decision);
    reviews.changed(group, work);
    return id;
  }

  /** Takes one back, as a part of a command; the one before counts again. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void remove(int group, int work, int id) {
    mapper.remove(id);
    reviews.changed(group, work);
  }

  /** Where the work of one (number) went when it counted again; row numbers. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void keptIn(int id, int folder, int reason) {
    mapper.keptIn(id, folder, reason);
  }

  /** Of a meeting (row number), by occasion: what counts. */
  @Transactional(readOnly = true)
  public Map<Integer, Decision> ofMeeting(int meeting) {
    return mapper.ofMeeting(meeting).stream()
        .collect(Collectors.toMap(Decision::occasion, one -> one));
  }

  /** All of a work (row number), the last first: one of each meeting. */
  @Transactional(readOnly = true)
  public List<OnWork> ofWork(int group, int work) {
    return mapper.ofWork(group, work).stream()
        .map(
            row ->
                new OnWork(
                    Coming.stored(row.kind(), row.key()),
                    Outcome.named(row.what()).orElseThrow(),
                    row.words(),
                    row.at(),
                    row.meeting()))
        .toList();
  }

  /** What a group kept or passed together when works (row numbers) first came; the last counts. */
  @Transactional(readOnly = true)
  public Map<Integer, Fate.Decided> inForce(int group) {
    return mapper.inForce(group).stream()
        .collect(
            Collectors.toMap(
                DecisionMapper.InForce::work,
                row -> new Fate.Decided(Outcome.named(row.what()).orElseThrow(), row.at())));
  }

  /** What members had said on occasions (row numbers) up to a mark for each. */
  @Transactional(readOnly = true)
  public Map<Integer, List<SaidThen>> saidThen(int group, Map<Integer, Integer> eventOf) {
    List<Map.Entry<Integer, Integer>> asked = List.copyOf(eventOf.entrySet());
    return mapper
        .saidThen(
            group,
            asked.stream().map(Map.Entry::getKey).toArray(Integer[]::new),
            asked.stream().map(Map.Entry::getValue).toArray(Integer[]::new))
        .stream()
        .collect(
            Collectors.groupingBy(
                DecisionMapper.SaidThen::asked,
                Collectors.mapping(
                    row ->
                        new SaidThen(
                            row.membership(), Mark.named(row.what()).orElseThrow(), row.reason()),
                    Collectors.toList())));
  }
}
