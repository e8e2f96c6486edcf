package org.quietlantern.server.arrival;

import static java.util.stream.Collectors.toMap;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.quietlantern.core.review.Covers;
import org.quietlantern.core.review.Unsettled;
import org.quietlantern.server.arrival.ArrivalList.InRound;
import org.quietlantern.server.arrival.RoundMapper.Row;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.OpenPoints;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lists of arrivals over all rounds: what waits, what rests, and what stands open. */
@Service
@Transactional(readOnly = true)
public class ArrivalLists {
  /** What stands open, on a page. */
  private static final int PAGE = 60;

  /** In the order of what the group tends to keep nobody looks further; the screen says so. */
  private static final int FIRST = 120;

  private static final String SAID = "said";
  private static final String KEPT = "kept";

  private final RoundMapper mapper;
  private final RoundLists roundLists;
  private final ArrivalViews views;
  private final KeptOrder keptOrder;
  private final Arrivals arrivals;
  private final OpenPoints points;
  private final Duties duties;
  private final Reviews reviews;
  private final Publications publications;

  ArrivalLists(
      RoundMapper mapper,
      RoundLists roundLists,
      ArrivalViews views,
      KeptOrder keptOrder,
      Arrivals arrivals,
      OpenPoints points,
      Duties duties,
      Reviews reviews,
      Publications publications) {
    this.mapper = mapper;
    this.roundLists = roundLists;
    this.views = views;
    this.keptOrder = keptOrder;
    this.arrivals = arrivals;
    this.points = points;
    this.duties = duties;
    this.reviews = reviews;
    this.publications = publications;
  }

  /** How much is in each list. */
  public ArrivalList.ListCounts counts(Member who) {
    Map<Unsettled, Integer> open = points.counts(who.group());
    return new ArrivalList.ListCounts(
        roundLists.count(who, RoundLists.Of.OWED),
        roundLists.count(who, RoundLists.Of.NOBODY),
        open.getOrDefault(Unsettled.RAISED, 0),
        open.getOrDefault(Unsettled.READABLE, 0),
        who.mayWrite() ? points.readableFor(who) : 0,
        open.getOrDefault(Unsettled.WAITING, 0),
        open.getOrDefault(Unsettled.UNSURE, 0),
        open.getOrDefault(Unsettled.DISPUTED, 0),
        roundLists.count(who, RoundLists.Of.RESTED),
        roundLists.count(who, RoundLists.Of.CHANGED));
  }

  /**
   * A page of a list.
   *
   * @param show of what is of rounds: {@code said}, only what others keep or raise; {@code kept},
   *     what the group tends to keep first; none: all, as it came
   * @param after what the page before said of the next one; none for the first
   */
  public ArrivalList list(Member who, String list, @Nullable String show, @Nullable String after) {
    Optional<RoundLists.Of> ofRounds = RoundLists.Of.named(list);
    if (ofRounds.isEmpty()) {
      Unsettled what = Unsettled.named(list).orElseThrow(Refusal::unknown);
      return ofPoints(who, what, after == null ? 0 : place(after));
    }
    return KEPT.equals(show)
        ? inOrder(who, ofRounds.get())
        : ofRounds(
            who,
            ofRounds.get(),
            SAID.equals(show),
            after == null ? 0 : arrivals.row(who, after).id());
  }

  private static int place(String after) {
    try {
      return Integer.parseInt(after);
    } catch (NumberFormatException noPlace) {
      throw Refusal.unknown();
    }
  }

  private ArrivalList ofRounds(Member who, RoundLists.Of list, boolean saidOnly, int after) {
    List<Groups.InGroup> reviewers = duties.reviewers(who.group());
    RoundLists.Part page =
        roundLists.page(
            who,
            reviewers,
            list,
            said -> saidOnly ? WhatIsLeft.wantedByOthers(who.id(), said) : one -> true,
            after);
    List<RoundMapper.FoundRow> found = page.found();
    List<Integer> needed = new ArrayList<>(roundsOf(found));
    Optional.ofNullable(page.next()).ifPresent(needed::add);
    Map<Integer, Row> rows = rows(who.group(), needed);
    return new ArrivalList(
        list.word(),
        page.whole(),
        listed(views(who, reviewers, found, page.said()), found, rows),
        null,
        page.next() == null ? null : rows.get(page.next()).pid());
  }

  /** The first of a list in the order of what the group tends to keep. */
  private ArrivalList inOrder(Member who, RoundLists.Of list) {
    List<Groups.InGroup> reviewers = duties.reviewers(who.group());
    RoundLists.Part all = roundLists.all(who, reviewers, list);
    List<StoredPublication> stored = stored(who, all.found());
    KeptOrder.Ordered ordered = keptOrder.of(who, all.found(), stored, FIRST);
    List<ArrivalShown> shown =
        ordered.because(views.of(who, reviewers, ordered.found(), stored, all.said()));
    return new ArrivalList(
        list.word(),
        all.whole(),
        listed(shown, ordered.found(), rows(who.group(), roundsOf(ordered.found()))),
        ordered.learned(),
        null);
  }

  private static List<Integer> roundsOf(List<RoundMapper.FoundRow> found) {
    return found.stream().map(RoundMapper.FoundRow::round).distinct().toList();
  }

  private Map<Integer, List<CurrentMark>> said(Member who, List<RoundMapper.FoundRow> all) {
    return reviews.onOccasions(
        who, all.stream().map(RoundMapper.FoundRow::occasion).distinct().toList());
  }

  private ArrivalList ofPoints(Member who, Unsettled what, int before) {
    int group = who.group();
    List<OpenPoints.OpenPoint> open = points.page(group, what, before, PAGE);
    return new ArrivalList(
        what.word(),
        points.counts(group).getOrDefault(what, 0),
        listed(who, open),
        null,
        open.size() < PAGE ? null : Integer.toString(open.get(open.size() - 1).place()));
  }

  /** Works with what members say of them, each in the round in which it last came. */
  public List<ArrivalList.ArrivalListed> listed(Member who, List<OpenPoints.OpenPoint> open) {
    int group = who.group();
    Map<List<Object>, RoundMapper.FoundRow> latest = new HashMap<>();
    mapper
        .foundOf(group, open.stream().map(OpenPoints.OpenPoint::work).toArray(Integer[]::new))
        .forEach(row -> latest.putIfAbsent(List.of(row.publication(), row.on()), row));
    List<RoundMapper.FoundRow> found =
        open.stream()
            .map(
                one ->
                    Optional.ofNullable(latest.get(List.of(one.work(), one.on())))
                        .orElseGet(() -> neverCame(one)))
            .toList();
    return listed(
        views(who, duties.reviewers(group), found, said(who, found)),
        found,
        rows(group, roundsOf(found)));
  }

  /** Something that was marked in the catalogue, and that no alert found. */
  private static RoundMapper.FoundRow neverCame(OpenPoints.OpenPoint open) {
    return new RoundMapper.FoundRow(
        0,
        open.occasion(),
        open.work(),
        open.on().occasion().word(),
        open.on().key(),
        "",
        "[]",
        false,
        open.at());
  }

  private Map<Integer, Row> rows(int group, List<Integer> rounds) {
    return mapper.rows(group, rounds.toArray(Integer[]::new)).stream()
        .collect(toMap(Row::id, Function.identity()));
  }

  private List<ArrivalShown> views(
      Member who,
      List<Groups.InGroup> reviewers,
      List<RoundMapper.FoundRow> found,
      Map<Integer, List<CurrentMark>> said) {
    return views.of(who, reviewers, found, stored(who, found), said);
  }

  private List<StoredPublication> stored(Member who, List<RoundMapper.FoundRow> found) {
    return publications.byId(
        Viewer.of(who), found.stream().map(RoundMapper.FoundRow::publication).distinct().toList());
  }

  private static List<ArrivalList.ArrivalListed> listed(
      List<ArrivalShown> shown, List<RoundMapper.FoundRow> found, Map<Integer, Row> rounds) {
    return IntStream.range(0, shown.size())
        .mapToObj(
            n ->
                new ArrivalList.ArrivalListed(
                    shown.get(n), inRound(rounds.get(found.get(n).round()))))
        .toList();
  }

  private static @Nullable InRound inRound(@Nullable Row round) {
    return round == null
        ? null
        : new InRound(
            round.pid(),
            round.alertName(),
            round.n(),
            new Folders.FolderName(round.folderPid(), round.folderName()),
            round.wanted().by() == Covers.APART ? round.asked() : 0);
  }
}
