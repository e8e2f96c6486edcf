package org.quietlantern.server.meeting;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.arrival.ArrivalShown;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.springframework.stereotype.Service;

/** Sends the agenda of a meeting to all members before it begins. */
@Service
class AgendaLetters implements CommandKinds {
  /** The same agenda does not go out twice within this. */
  private static final Duration APART = Duration.ofMinutes(10);

  /** Works that a letter lists; of more it says how many. */
  private static final int LISTED = 50;

  private static final CommandKind<AgendaSent, CommandKind.Nothing> MAIL =
      CommandKind.forGood("meeting.mail", AgendaSent.class, "The letters are on their way.");

  private final MeetingMapper mapper;
  private final Meetings meetings;
  private final MeetingPages pages;
  private final Agenda agenda;
  private final Groups groups;
  private final Outbox outbox;
  private final Commands commands;
  private final LanternProperties properties;
  private final Calendar calendar;

  /** To how many it goes. */
  public record AgendaSent(int letters) {}

  AgendaLetters(
      MeetingMapper mapper,
      Meetings meetings,
      MeetingPages pages,
      Agenda agenda,
      Groups groups,
      Outbox outbox,
      Commands commands,
      LanternProperties properties,
      Calendar calendar) {
    this.mapper = mapper;
    this.meetings = meetings;
    this.pages = pages;
    this.agenda = agenda;
    this.groups = groups;
    this.outbox = outbox;
    this.commands = commands;
    this.properties = properties;
    this.calendar = calendar;
  }

  AgendaSent send(Member who, UUID command, String meeting) {
    outbox.requireMail();
    return commands.run(who, command, MAIL, () -> sent(who, meeting));
  }

  private CommandResult<AgendaSent, CommandKind.Nothing> sent(Member who, String meeting) {
    MeetingMapper.Row row = meetings.find(who, meeting);
    if (!row.isPlanned()) {
      throw Refusal.conflict("changed-since", "This meeting is " + row.state() + ".");
    }
    Instant now = calendar.now();
    if (row.sent() != null && row.sent().plus(APART).isAfter(now)) {
      throw Refusal.conflict(
          "sent-before",
          "The agenda went out at %s. It can go out again after ten minutes."
              .formatted(Zones.moment(row.sent(), who.zoneId())));
    }
    Map<String, Object> values = values(who, row);
    String subject =
        "%s: %s".formatted(groups.name(who.group()), Zones.moment(row.at(), who.zoneId()));
    List<MeetingMapper.Receiver> receivers = mapper.receivers(who.group());
    String replyTo = mapper.email(who.id());
    for (MeetingMapper.Receiver receiver : receivers) {
      MailAddress.read(receiver.email())
          .ifPresent(
              to ->
                  outbox.write(
                      new Letter(to, subject, "agenda", values, null, replyTo, List.of(), null)));
    }
    mapper.put(row.sentOn(now));
    return CommandKind.done(new AgendaSent(receivers.size())).changing(Subject.Of.MEETING, meeting);
  }

  private Map<String, Object> values(Member who, MeetingMapper.Row row) {
    String place = "%s/g/%s/meetings/%s".formatted(properties.baseUrl(), who.groupPid(), row.pid());
    Map<String, String> names =
        groups.members(who.group()).stream().collect(Collectors.toMap(Member::pid, Member::name));
    List<MeetingShown.AgendaWork> works = pages.works(who, row.pid());
    List<Map<String, Object>> items = new ArrayList<>();
    for (int n = 0; n < Math.min(LISTED, works.size()); n++) {
      items.add(item(n + 1, works.get(n).work().arrival(), names));
    }
    int rest = works.size() - items.size() + agenda.more(who);
    Map<String, Object> values = new HashMap<>();
    values.put("group", groups.name(who.group()));
    values.put("by", who.name());
    values.put("when", Zones.moment(row.at(), who.zoneId()) + " (" + who.zone() + ")");
    values.put("where", row.place());
    values.put("items", items);
    values.put("none", items.isEmpty());
    values.put("rest", rest > 0 ? "%,d more are on the agenda.".formatted(rest) : "");
    values.put("link", place);
    return values;
  }

  private static Map<String, Object> item(int n, ArrivalShown arrival, Map<String, String> names) {
    String facts =
        String.join(
            " · ",
            Stream.of(
                    String.join(", ", arrival.publication().authors()),
                    arrival.publication().where(),
                    Optional.ofNullable(arrival.publication().year())
                        .map(String::valueOf)
                        .orElse(""))
                .filter(text -> !text.isEmpty())
                .toList());
    List<String> said =
        arrival.lamps().stream()
            .filter(lamp -> lamp.mark() != null && names.containsKey(lamp.member()))
            .map(
                lamp ->
                    names.get(lamp.member())
                        + ": "
                        + lamp.mark()
                        + (lamp.reason() == null || lamp.reason().isEmpty()
                            ? ""
                            : ", “" + lamp.reason() + "”"))
            .toList();
    return Map.of("n", n, "title", arrival.publication().title(), "facts", facts, "said", said);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(MAIL);
  }
}
