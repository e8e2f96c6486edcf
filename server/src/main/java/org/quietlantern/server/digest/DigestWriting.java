package org.quietlantern.server.digest;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Composes one letter: what alerts brought, then what waits. What it tells is noted in the same
 * transaction, each arrival once for each member.
 */
@Component
class DigestWriting {
  /** A round's time is taken before its transaction is done: so much earlier ones are looked at. */
  private static final Duration LATE = Duration.ofDays(1);

  private final DigestMapper mapper;
  private final DigestArrivals arrivals;
  private final DigestWaiting waiting;
  private final Groups groups;
  private final Outbox outbox;
  private final StopAddresses stops;
  private final LanternProperties properties;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

  /**
   * @param day in the member's zone
   * @param name of the moment on that day
   */
  record Moment(LocalDate day, String name, Instant now) {}

  DigestWriting(
      DigestMapper mapper,
      DigestArrivals arrivals,
      DigestWaiting waiting,
      Groups groups,
      Outbox outbox,
      StopAddresses stops,
      LanternProperties properties,
      Calendar calendar,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.arrivals = arrivals;
    this.waiting = waiting;
    this.groups = groups;
    this.outbox = outbox;
    this.stops = stops;
    this.properties = properties;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  /** {@code withWaiting}: also what waits, and a letter of nothing where that is wanted. */
  @Transactional(propagation = Propagation.MANDATORY)
  void write(DigestMapper.Reader reader, Moment moment, boolean withWaiting) {
    Long digest = mapper.add(reader.membership(), moment.day(), moment.name(), moment.now());
    if (digest == null) {
      // A zone was changed, and the day comes again: the next moment tells it.
      return;
    }
    checkpoint.pass("digest: begun");
    Member who = groups.findMember(reader.group(), reader.account()).orElseThrow();
    String place = "%s/g/%s/".formatted(properties.baseUrl(), who.groupPid());
    List<DigestMapper.Untold> untold =
        who.onlyFolders()
            ? List.of()
            : mapper.untold(who.group(), who.id(), who.mayWrite(), since(reader));
    DigestArrivals.Told came =
        arrivals.told(who, untold, place, alert -> stops.ofAlert(reader.pid(), alert));
    DigestWaiting.Told waits =
        withWaiting
            ? waiting.since(who, reader.told(), moment.day(), place, comeAgain(untold))
            : new DigestWaiting.Told(List.of(), false);
    mapper.addItems(
        who.id(),
        digest,
        untold.stream().map(DigestMapper.Untold::arrival).toArray(Integer[]::new));
    mapper.roundsTold(who.id(), moment.now());
    if (withWaiting) {
      mapper.told(who.id(), moment.now());
    }
    checkpoint.pass("digest: noted, not written");
    boolean nothing = came.works() == 0 && waits.items().isEmpty();
    if (!nothing || (withWaiting && reader.ofNothing())) {
      mapper.wrote(digest, outbox.write(letter(reader, moment, who, place, came, waits)));
    }
    checkpoint.pass("digest: written, not committed");
  }

  private static Set<Integer> comeAgain(List<DigestMapper.Untold> untold) {
    return untold.stream()
        .filter(one -> !one.on().isFirst())
        .map(DigestMapper.Untold::publication)
        .collect(Collectors.toSet());
  }

  private static Instant since(DigestMapper.Reader reader) {
    Instant late = reader.roundsTold() == null ? reader.from() : reader.roundsTold().minus(LATE);
    return late.isBefore(reader.from()) ? reader.from() : late;
  }

  private Letter letter(
      DigestMapper.Reader reader,
      Moment moment,
      Member who,
      String place,
      DigestArrivals.Told came,
      DigestWaiting.Told waits) {
    String group = groups.name(who.group());
    Map<String, Object> values = new HashMap<>();
    values.put("group", group);
    values.put("alerts", came.alerts());
    values.put("nothing", came.works() == 0 && waits.items().isEmpty());
    values.put("withdrawn", withdrawn(came.withdrawn()));
    values.put("rest", came.rest() == 0 ? "" : "%,d more".formatted(came.rest()));
    values.put("arrivals", place + "arrivals");
    values.put("waits", !waits.items().isEmpty());
    values.put("items", waits.items());
    values.put("more", waits.more());
    values.put("today", place + (who.onlyFolders() ? "folders" : "today"));
    values.put("account", place + "account");
    String stop = stops.ofAll(reader.pid());
    values.put("stop", stop);
    String name =
        "digest %s %s %s %s"
            .formatted(calendar.installation(), reader.pid(), moment.day(), moment.name());
    return Letter.regular(
        MailAddress.read(reader.email()).orElseThrow(),
        "%s in “%s”".formatted(says(came.works(), waits.items().size()), group),
        "digest",
        values,
        new Letter.Regular(name, stop));
  }

  private static String withdrawn(int many) {
    return switch (many) {
      case 0 -> "";
      case 1 -> "One work that had come was withdrawn by its source since and is left out.";
      default ->
          "%,d works that had come were withdrawn by their sources since and are left out."
              .formatted(many);
    };
  }

  private static String says(int works, int waits) {
    String wait = waits == 1 ? "something waits for you" : "some things wait for you";
    if (works == 0) {
      return waits == 0 ? "Nothing new" : wait.replaceFirst("s", "S");
    }
    return "%,d new%s".formatted(works, waits == 0 ? "" : ", and " + wait);
  }
}
