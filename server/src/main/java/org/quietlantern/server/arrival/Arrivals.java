package org.quietlantern.server.arrival;

import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.review.Coverage;
import org.quietlantern.core.review.Lamp;
import org.quietlantern.core.search.Why;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.review.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits to be reviewed, and what everybody said of it. */
@Service
@Transactional(readOnly = true)
public class Arrivals {
  private final RoundMapper mapper;
  private final Publications publications;
  private final Reviews reviews;
  private final Groups groups;
  private final Summaries summaries;
  private final Json json;

  Arrivals(
      RoundMapper mapper,
      Publications publications,
      Reviews reviews,
      Groups groups,
      Summaries summaries,
      Json json) {
    this.summaries = summaries;
    this.mapper = mapper;
    this.publications = publications;
    this.reviews = reviews;
    this.groups = groups;
    this.json = json;
  }

  /** Rounds with something in them: those that gather first, then the latest closed. */
  public List<RoundLine> rounds(Member who) {
    List<RoundMapper.Row> rounds = mapper.waiting(who.group());
    List<RoundMapper.FoundRow> found = found(rounds);
    return lines(rounds, found, said(who, found), reviewers(who));
  }

  /** The last closed rounds of an alert (row number), newest first; empty ones too. */
  public List<RoundLine> closedRounds(Member who, int alert, int most) {
    List<RoundMapper.Row> rounds = mapper.closed(who.group(), alert, most);
    List<RoundMapper.FoundRow> found = found(rounds);
    return lines(rounds, found, said(who, found), reviewers(who));
  }

  public RoundView round(Member who, String pid) {
    RoundMapper.Row round = row(who, pid);
    List<RoundMapper.FoundRow> found = found(List.of(round));
    Map<Integer, List<Said>> said = said(who, found);
    List<Stored> stored =
        publications.byId(found.stream().map(RoundMapper.FoundRow::publication).toList());
    Map<Integer, Summary> shown = summaries.of(who, stored);
    List<Member> members = reviewers(who);
    List<ArrivalShown> arrivals =
        found.stream().map(f -> shown(f, shown.get(f.publication()), members, said)).toList();
    return new RoundView(
        lines(List.of(round), found, said, members).get(0),
        new Folders.FolderName(round.folderPid(), round.folderName()),
        arrivals);
  }

  RoundMapper.Row row(Member who, String pid) {
    return Optional.ofNullable(mapper.find(who.group(), pid)).orElseThrow(Refusal::unknown);
  }

  /** Public id of the group that a round belongs to. */
  public Optional<String> groupOf(String pid) {
    return Optional.ofNullable(mapper.groupOf(pid));
  }

  /** Two that turned out to be one work since stand in a round once. */
  private List<RoundMapper.FoundRow> found(List<RoundMapper.Row> rounds) {
    Set<List<Integer>> seen = new HashSet<>();
    return mapper.found(rounds.stream().map(RoundMapper.Row::id).toArray(Integer[]::new)).stream()
        .filter(f -> seen.add(List.of(f.round(), f.publication())))
        .toList();
  }

  private Map<Integer, List<Said>> said(Member who, List<RoundMapper.FoundRow> found) {
    return reviews.onOccasions(
        who.group(), found.stream().map(RoundMapper.FoundRow::occasion).toList());
  }

  /** Members with a lamp, in a fixed order. */
  private List<Member> reviewers(Member who) {
    return groups.members(who.group()).stream().filter(Member::mayWrite).toList();
  }

  private static List<RoundLine> lines(
      List<RoundMapper.Row> rounds,
      List<RoundMapper.FoundRow> found,
      Map<Integer, List<Said>> said,
      List<Member> members) {
    Map<Integer, List<RoundMapper.FoundRow>> byRound =
        found.stream().collect(Collectors.groupingBy(RoundMapper.FoundRow::round));
    return rounds.stream()
        .map(r -> line(r, byRound.getOrDefault(r.id(), List.of()), said, members))
        .toList();
  }

  private static RoundLine line(
      RoundMapper.Row round,
      List<RoundMapper.FoundRow> found,
      Map<Integer, List<Said>> said,
      List<Member> members) {
    List<Map<Integer, Lamp>> lamps =
        found.stream()
            .filter(f -> !f.hereSince())
            .map(f -> lamps(said.getOrDefault(f.occasion(), List.of())))
            .toList();
    Coverage coverage =
        Coverage.of(lamps, members.stream().map(Member::id).toList(), round.asked());
    Map<String, Integer> reviewed = new HashMap<>();
    members.forEach(m -> reviewed.put(m.pid(), coverage.reviewed().get(m.id())));
    return new RoundLine(
        round.pid(),
        round.alertPid(),
        round.alertName(),
        round.n(),
        round.opens(),
        round.closes(),
        round.closed(),
        coverage.arrivals(),
        round.asked(),
        reviewed,
        coverage.covered(),
        coverage.nobody());
  }

  private static Map<Integer, Lamp> lamps(List<Said> said) {
    return said.stream().collect(Collectors.toMap(Said::member, s -> s.mark().lamp()));
  }

  private ArrivalShown shown(
      RoundMapper.FoundRow found,
      Summary summary,
      List<Member> members,
      Map<Integer, List<Said>> said) {
    Map<Integer, Said> byMember =
        said.getOrDefault(found.occasion(), List.of()).stream()
            .collect(Collectors.toMap(Said::member, Function.identity()));
    List<ArrivalShown.WordsMet> words =
        Arrays.stream(json.read(found.words(), Why[].class))
            .map(
                w ->
                    new ArrivalShown.WordsMet(
                        w.typed(), w.fields().stream().map(f -> f.word()).toList()))
            .toList();
    return new ArrivalShown(
        summary,
        found.kind(),
        found.findingClass(),
        found.hereSince(),
        found.came(),
        words,
        members.stream().map(m -> lamp(m, byMember.get(m.id()))).toList());
  }

  private static ArrivalShown.LampShown lamp(Member member, @Nullable Said said) {
    return said == null
        ? new ArrivalShown.LampShown(member.pid(), Lamp.UNLIT.word(), null, null, null)
        : new ArrivalShown.LampShown(
            member.pid(), said.mark().lamp().word(), said.mark().word(), said.reason(), said.at());
  }
}
