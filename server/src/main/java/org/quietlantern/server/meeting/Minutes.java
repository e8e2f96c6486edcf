package org.quietlantern.server.meeting;

import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.report.MeetingReport;
import org.quietlantern.core.review.Outcome;
import org.quietlantern.core.review.Unsettled;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.CitationsShown;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.quietlantern.server.review.Decisions;
import org.quietlantern.server.review.Decisions.Decision;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The minutes of a meeting that has begun: what members had said is told as it stood then. */
@Service
public class Minutes {
  private static final String GONE = "a former member";
  private static final DateTimeFormatter CLOCK =
      DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);

  private final MeetingMapper mapper;
  private final Meetings meetings;
  private final Agenda agenda;
  private final Decisions decisions;
  private final Publications publications;
  private final Citing citing;
  private final Folders folders;
  private final Groups groups;
  private final LanternProperties properties;

  Minutes(
      MeetingMapper mapper,
      Meetings meetings,
      Agenda agenda,
      Decisions decisions,
      Publications publications,
      Citing citing,
      Folders folders,
      Groups groups,
      LanternProperties properties) {
    this.mapper = mapper;
    this.meetings = meetings;
    this.agenda = agenda;
    this.decisions = decisions;
    this.publications = publications;
    this.citing = citing;
    this.folders = folders;
    this.groups = groups;
    this.properties = properties;
  }

  /** Refused as unknown before it has begun: there is nothing to tell. */
  @Transactional(readOnly = true)
  public MeetingReport of(Member who, String pid) {
    MeetingMapper.Row row = meetings.find(who, pid);
    if (row.begun() == null) {
      throw Refusal.unknown();
    }
    Set<Integer> present = Set.copyOf(mapper.present(row.id()));
    Map<Integer, String> names = groups.names(who.group());
    List<Agenda.Work> works = agenda.of(who, row);
    Map<Integer, Decision> decided = decisions.ofMeeting(row.id());
    return new MeetingReport(
        "Meeting of " + Zones.day(row.at(), who.zoneId()),
        when(who, row),
        present.stream().map(one -> names.getOrDefault(one, GONE)).sorted().toList(),
        groups.members(who.group()).stream()
            .filter(one -> one.mayWrite() && !present.contains(one.id()))
            .map(Member::name)
            .sorted()
            .toList(),
        works(who, row, works, decided, names),
        "%s/g/%s/meetings/%s".formatted(properties.baseUrl(), who.groupPid(), pid));
  }

  private String when(Member who, MeetingMapper.Row row) {
    String until =
        row.ended() == null
            ? "It is still under way"
            : "It ended at " + CLOCK.format(row.ended().atZone(who.zoneId()));
    return "%s%s, %s, begun at %s. %s."
        .formatted(
            groups.name(who.group()),
            row.place().isEmpty() ? "" : ", " + row.place(),
            Zones.day(row.begun(), who.zoneId()),
            CLOCK.format(row.begun().atZone(who.zoneId())),
            until);
  }

  private List<MeetingReport.WorkOf> works(
      Member who,
      MeetingMapper.Row row,
      List<Agenda.Work> works,
      Map<Integer, Decision> decided,
      Map<Integer, String> names) {
    if (works.isEmpty()) {
      return List.of();
    }
    int last = row.event() == null ? Integer.MAX_VALUE : row.event();
    Map<Integer, Integer> until = new HashMap<>();
    works.forEach(
        work -> {
          int occasion = work.point().occasion();
          until.put(occasion, decided.containsKey(occasion) ? decided.get(occasion).event() : last);
        });
    Map<Integer, List<Decisions.SaidThen>> said = decisions.saidThen(who.group(), until);
    Map<Integer, String> cited = cited(who, works);
    Map<String, String> folderNames =
        folders.names(
            who,
            decided.values().stream()
                .map(Decision::folderPid)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet()));
    return works.stream()
        .map(
            work ->
                told(
                    work,
                    cited.getOrDefault(work.point().work(), "A work that is not here any more."),
                    said.getOrDefault(work.point().occasion(), List.of()),
                    decided.get(work.point().occasion()),
                    names,
                    folderNames))
        .toList();
  }

  private static MeetingReport.WorkOf told(
      Agenda.Work work,
      String cited,
      List<Decisions.SaidThen> said,
      @Nullable Decision decision,
      Map<Integer, String> names,
      Map<String, String> folderNames) {
    String again = work.point().on().isFirst() ? "" : ", " + work.point().on().occasion().word();
    return new MeetingReport.WorkOf(
        cited,
        (work.why() == Unsettled.RAISED ? "It was raised" : "Members disagreed on it")
            + again
            + ".",
        said.stream()
            .map(
                one ->
                    List.of(
                        names.getOrDefault(one.member(), GONE), one.mark().word(), one.reason()))
            .toList(),
        outcome(decision, folderNames),
        decision == null ? "" : decision.words());
  }

  private static String outcome(@Nullable Decision decision, Map<String, String> folderNames) {
    if (decision == null) {
      return "Not talked about";
    }
    return switch (Outcome.named(decision.what()).orElseThrow()) {
      case KEEP -> {
        String folder = decision.folderPid() == null ? null : folderNames.get(decision.folderPid());
        yield folder == null ? "Kept" : "Kept in " + folder;
      }
      case PASS -> "Passed";
      case OPEN -> "Left open";
    };
  }

  private Map<Integer, String> cited(Member who, List<Agenda.Work> works) {
    List<StoredPublication> stored =
        publications.byId(
            Viewer.of(who), works.stream().map(work -> work.point().work()).distinct().toList());
    if (stored.isEmpty()) {
      return Map.of();
    }
    CitationsShown shown =
        citing.cite(
            who,
            stored.stream().map(one -> Citing.CiteWanted.of(one.pid())).toList(),
            citing.ofGroup(who));
    Map<String, String> byPid =
        shown.entries().stream()
            .collect(
                Collectors.toMap(
                    CitationsShown.CitedEntry::publication, CitationsShown.CitedEntry::alone));
    return stored.stream()
        .collect(
            Collectors.toMap(
                StoredPublication::id,
                one -> {
                  String text = byPid.getOrDefault(one.pid(), "");
                  return text.isEmpty() ? one.publication().title() : text;
                }));
  }
}
