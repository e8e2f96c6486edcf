package org.quietlantern.server.trouble;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps what does not go as it should from when it begins until it goes again. What lasts is told
 * by mail once, and once more when it is over; what comes and goes within minutes stands on Today
 * only.
 */
@Service
public class Troubles implements Job {
  /** What passes sooner is told by no letter, of system time. */
  private static final Duration PASSING = Duration.ofMinutes(15);

  private static final Duration MENDED_SHOWN = Duration.ofDays(3);
  private static final Duration KEPT = Duration.ofDays(90);
  private final TroubleMapper mapper;
  private final List<TroubleTeller> tellers;
  private final Groups groups;
  private final Outbox outbox;
  private final LanternProperties properties;
  private final Calendar calendar;
  private final SystemTime system;
  private final TransactionTemplate transaction;

  /**
   * Something that does not go as it should, or did not.
   *
   * @param place where it is told in full, below the group's address
   * @param mended when it went again; absent while it does not
   */
  public record TroubleShown(
      String title, String place, String why, Instant since, @Nullable Instant mended) {}

  Troubles(
      TroubleMapper mapper,
      List<TroubleTeller> tellers,
      Groups groups,
      Outbox outbox,
      LanternProperties properties,
      Calendar calendar,
      SystemTime system,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.tellers = tellers;
    this.groups = groups;
    this.outbox = outbox;
    this.properties = properties;
    this.calendar = calendar;
    this.system = system;
    this.transaction = transaction;
  }

  @Override
  public String name() {
    return "troubles";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(15);
  }

  @Override
  public void run() {
    Map<String, TroubleTeller.TroubleNow> now = new HashMap<>();
    tellers.forEach(teller -> teller.now().forEach(one -> now.put(one.key(), one)));
    transaction.executeWithoutResult(status -> keep(now));
  }

  private void keep(Map<String, TroubleTeller.TroubleNow> now) {
    Instant at = calendar.now();
    now.values().forEach(one -> mapper.add(one, at, system.now()));
    for (TroubleMapper.Row row : mapper.open(system.now().minus(PASSING))) {
      TroubleTeller.TroubleNow still = now.get(row.key());
      if (still == null) {
        if (mapper.mend(row.id(), at) > 0 && row.told()) {
          write(row, row.title() + ": it goes again", "It goes again. It was: " + row.why());
        }
      } else {
        mapper.say(row.id(), still.title(), still.why());
        if (!row.told() && row.lasts() && outbox.hasMail() && mapper.tell(row.id(), at) > 0) {
          write(row, row.title() + ": something is wrong", still.why());
        }
      }
    }
    mapper.forget(at.minus(KEPT));
  }

  private void write(TroubleMapper.Row row, String subject, String why) {
    if (!outbox.hasMail()) {
      return;
    }
    List<TroubleMapper.Reader> readers =
        row.grp() == null ? mapper.stewards() : mapper.coordinators(row.grp());
    for (TroubleMapper.Reader reader : readers) {
      String group = "%s/g/%s/".formatted(properties.baseUrl(), reader.grp());
      MailAddress.read(reader.email())
          .ifPresent(
              to ->
                  outbox.write(
                      new Letter(
                          to,
                          subject,
                          "trouble",
                          Map.of(
                              "title",
                              row.title(),
                              "why",
                              why,
                              "group",
                              row.grp() == null ? "" : reader.name(),
                              "link",
                              group + row.place(),
                              "account",
                              group + "account"),
                          null)));
    }
  }

  /** What members who can act see: of their group, and for stewards of the installation. */
  @Transactional(readOnly = true)
  public List<TroubleShown> of(Member who) {
    if (!who.mayWrite()) {
      return List.of();
    }
    Instant since = calendar.now().minus(MENDED_SHOWN);
    return Stream.concat(
            mapper.of(who.group(), since).stream(),
            groups.isSteward(who) ? mapper.of(null, since).stream() : Stream.of())
        .toList();
  }
}
