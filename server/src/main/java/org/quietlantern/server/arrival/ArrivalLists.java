package org.quietlantern.server.arrival;

import static java.util.stream.Collectors.toMap;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import org.quietlantern.core.review.Unsettled;
import org.quietlantern.server.arrival.ArrivalList.InRound;
import org.quietlantern.server.arrival.RoundMapper.Row;
import org.quietlantern.server.catalogue.Publications;
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

/**
 * Arrivals of all rounds that have something in common. Which rounds have some is known by their
 * counts, and which of their arrivals these are by the same rules, so that no list has more or less
 * than the board says.
 */
@Service
@Transactional(readOnly = true)
public class ArrivalLists {
  /** Arrivals on a page, at least; a round is never cut. */
  private static final int PAGE = 60;

  private static final String OWED = "owed";
  private static final String NOBODY = "nobody";
  private final RoundMapper mapper;
  private final RoundContents contents;
  private final ArrivalViews views;
  private final Arrivals arrivals;
  private final OpenPoints points;
  private final Duties duties;
  private final WhatIsLeft left;
  private final Reviews reviews;
  private final Publications publications;

  ArrivalLists(
      RoundMapper mapper,
      RoundContents contents,
      ArrivalViews views,
      Arrivals arrivals,
      OpenPoints points,
      Duties duties,
      WhatIsLeft left,
      Reviews reviews,
      Publications publications) {
    this.mapper = mapper;
    this.contents = contents;
    this.views = views;
    this.arrivals = arrivals;
    this.points = points;
    this.duties = duties;
    this.left = left;
    this.reviews = reviews;
    this.publications = publications;
  }

  /** How much is in each list. */
  public ArrivalList.ListCounts counts(Member who) {
    Map<Unsettled, Integer> open = points.counts(who.group());
    return new ArrivalList.ListCounts(
        owed(who),
        mapper.unseen(who.group()),
        open.getOrDefault(Unsettled.RAISED, 0),
        open.getOrDefault(Unsettled.READABLE, 0),
        who.mayWrite() ? points.readableFor(who) : 0,
        open.getOrDefault(Unsettled.WAITING, 0),
        open.getOrDefault(Unsettled.UNSURE, 0),
        open.getOrDefault(Unsettled.DISPUTED, 0));
  }

  private int owed(Member who) {
    return who.mayWrite() ? mapper.owed(who.group(), who.id()) : 0;
  }

  /** {@code after}: what the page before said of the next one; none for the first. */
  public ArrivalList list(Member who, String list, @Nullable String after) {
    if (list.equals(OWED) || list.equals(NOBODY)) {
      return ofRounds(who, list, after == null ? 0 : arrivals.row(who, after).id());
    }
    Unsettled what = Unsettled.named(list).orElseThrow(Refusal::unknown);
    return ofPoints(who, what, after == null ? 0 : place(after));
  }

  private static int place(String after) {
    try {
      return Integer.parseInt(after);
    } catch (NumberFormatException noPlace) {
      throw Refusal.unknown();
    }
  }

  private ArrivalList ofRounds(Member who, String list, int before) {
    boolean mine = list.equals(OWED);
    int group = who.group();
    List<RoundMapper.Waits> waits =
        !mine
            ? mapper.unseenIn(group, before, PAGE)
            : who.mayWrite() ? mapper.owedIn(group, who.id(), before, PAGE) : List.of();
    if (waits.isEmpty()) {
      return new ArrivalList(list, mine ? owed(who) : mapper.unseen(group), List.of(), null);
    }
    List<Integer> rounds = fill(waits);
    List<RoundMapper.FoundRow> all = contents.inOrder(rounds);
    Map<Integer, List<CurrentMark>> said = said(group, all);
    List<Groups.InGroup> reviewers = duties.reviewers(group);
    Predicate<RoundMapper.FoundRow> belongs =
        mine ? left.owedBy(who.id(), who, reviewers, said) : WhatIsLeft.seenByNobody(said);
    List<RoundMapper.FoundRow> found =
        all.stream().filter(RoundMapper.FoundRow::isOwed).filter(belongs).toList();
    Map<Integer, Row> rows = rows(group, rounds);
    boolean more = rounds.size() < waits.size() || waits.size() == PAGE;
    return new ArrivalList(
        list,
        waits.get(0).whole(),
        listed(views(who, reviewers, found, said), found, rows),
        more ? rows.get(rounds.get(rounds.size() - 1)).pid() : null);
  }

  /** As many of them, whole, as fill a page. */
  private static List<Integer> fill(List<RoundMapper.Waits> waits) {
    List<Integer> rounds = new ArrayList<>();
    int together = 0;
    for (RoundMapper.Waits one : waits) {
      if (together >= PAGE) {
        break;
      }
      rounds.add(one.round());
      together += one.waiting();
    }
    return rounds;
  }

  private Map<Integer, List<CurrentMark>> said(int group, List<RoundMapper.FoundRow> all) {
    return reviews.onOccasions(
        group, all.stream().map(RoundMapper.FoundRow::occasion).distinct().toList());
  }

  private ArrivalList ofPoints(Member who, Unsettled what, int before) {
    int group = who.group();
    List<OpenPoints.OpenPoint> open = points.page(group, what, before, PAGE);
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
    Map<Integer, Row> rows =
        rows(group, found.stream().map(RoundMapper.FoundRow::round).distinct().toList());
    return new ArrivalList(
        what.word(),
        points.counts(group).getOrDefault(what, 0),
        listed(views(who, duties.reviewers(group), found, said(group, found)), found, rows),
        open.size() < PAGE ? null : Integer.toString(open.get(open.size() - 1).place()));
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
    return views.of(
        who,
        reviewers,
        found,
        publications.byId(
            Viewer.of(who), found.stream().map(RoundMapper.FoundRow::publication).toList()),
        said);
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
            new Folders.FolderName(round.folderPid(), round.folderName()));
  }
}
