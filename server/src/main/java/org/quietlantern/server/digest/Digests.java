package org.quietlantern.server.digest;

import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.quietlantern.core.watch.LetterTimes;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.job.Job;
import org.quietlantern.server.platform.job.Spread;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes to members at their moments, each in a transaction of its own: killed in between, the
 * moment has not come yet.
 */
@Component
public class Digests implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(Digests.class);
  private static final int AT_A_TIME = 500;
  private final DigestMapper mapper;
  private final DigestWriting writing;
  private final Outbox outbox;
  private final Calendar calendar;
  private final TransactionTemplate transaction;

  Digests(
      DigestMapper mapper,
      DigestWriting writing,
      Outbox outbox,
      Calendar calendar,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.writing = writing;
    this.outbox = outbox;
    this.calendar = calendar;
    this.transaction = transaction;
  }

  @Override
  public String name() {
    return "digests";
  }

  @Override
  public Duration every() {
    return Duration.ofMinutes(1);
  }

  @Override
  public void run() {
    if (!outbox.hasMail()) {
      return;
    }
    Instant now = calendar.now();
    workOutMoments(now);
    List<DigestMapper.Reader> due;
    do {
      due = mapper.due(now, AT_A_TIME);
      int failed = each(due, reader -> atMoment(reader, now));
      if (failed > 0) {
        // What failed is due at the next run; it does not keep this one going round.
        break;
      }
    } while (due.size() == AT_A_TIME);
    each(
        mapper.atOnce(now).stream().filter(DigestMapper.Reader::mayWrite).toList(),
        reader -> atOnce(reader, now));
  }

  private void workOutMoments(Instant now) {
    List<DigestMapper.Reader> without;
    do {
      without = mapper.withoutMoment(now, AT_A_TIME);
      without.forEach(
          reader -> mapper.dealWith(reader, times(reader).after(reader.told(), zone(reader)).at()));
    } while (without.size() == AT_A_TIME);
  }

  /** The others get theirs; one that failed is tried again by the next run. */
  private int each(List<DigestMapper.Reader> readers, Consumer<DigestMapper.Reader> write) {
    return Spread.filter(readers, reader -> !wrote(reader, write)).size();
  }

  private boolean wrote(DigestMapper.Reader reader, Consumer<DigestMapper.Reader> write) {
    try {
      transaction.executeWithoutResult(status -> write.accept(reader));
      return true;
    } catch (RuntimeException why) {
      LOG.error("the digest of membership {} failed", reader.membership(), why);
      return false;
    }
  }

  private void atMoment(DigestMapper.Reader reader, Instant now) {
    ZoneId zone = zone(reader);
    if (mapper.dealWith(reader, times(reader).after(now, zone).at()) > 0 && reader.mayWrite()) {
      ZonedDateTime moment = reader.due().atZone(zone);
      writing.write(
          reader,
          new DigestWriting.Moment(
              moment.toLocalDate(), moment.toLocalTime().truncatedTo(ChronoUnit.MINUTES) + "", now),
          true);
    }
  }

  /** The moment stays: what waits is told then. */
  private void atOnce(DigestMapper.Reader reader, Instant now) {
    if (mapper.dealWith(reader, reader.due()) > 0) {
      ZonedDateTime moment = now.atZone(zone(reader));
      String name = "at once, " + moment.toLocalTime().truncatedTo(ChronoUnit.SECONDS);
      writing.write(reader, new DigestWriting.Moment(moment.toLocalDate(), name, now), false);
    }
  }

  private static ZoneId zone(DigestMapper.Reader reader) {
    return ZoneId.of(reader.zone());
  }

  private static LetterTimes times(DigestMapper.Reader reader) {
    return new LetterTimes(
        Arrays.stream(reader.days()).map(DayOfWeek::of).collect(Collectors.toSet()),
        Arrays.stream(reader.hours())
            .map(LocalTime::parse)
            .collect(Collectors.toCollection(TreeSet::new)));
  }
}
