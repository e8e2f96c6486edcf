package org.quietlantern.server.mail;

import jakarta.mail.MessagingException;
import java.time.Duration;
import java.time.Instant;
import java.util.Collections;
import java.util.Optional;
import org.quietlantern.core.mail.Patience;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.quietlantern.server.platform.job.Spread;
import org.springframework.stereotype.Component;

/**
 * Hands letters over to the mail server. Nothing is held while it talks: who is killed between the
 * server's yes and our note sends the letter once more, under its Message-ID.
 */
@Component
public class MailJob implements Job {
  /** Longer than any try takes. */
  private static final Duration LEASE = Duration.ofMinutes(5);

  /** How long a run goes on, where a mail server is slow. */
  private static final Duration AT_IT = Duration.ofMinutes(1);

  /** More letters than these go by two connections: while one waits, the other is written on. */
  private static final int FEW = 20;

  private static final int LONGEST_TROUBLE = 300;
  private final OutboxMapper mapper;
  private final Returns returns;
  private final Postman postman;
  private final Calendar calendar;
  private final SystemTime system;
  private final Checkpoint checkpoint;

  MailJob(
      OutboxMapper mapper,
      Returns returns,
      Postman postman,
      Calendar calendar,
      SystemTime system,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.returns = returns;
    this.postman = postman;
    this.calendar = calendar;
    this.system = system;
    this.checkpoint = checkpoint;
  }

  @Override
  public String name() {
    return "mail";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(5);
  }

  @Override
  public void run() {
    Instant end = system.now().plus(AT_IT);
    int connections = mapper.due(system.now()) > FEW ? 2 : 1;
    Spread.each(Collections.nCopies(connections, end), this::handOver);
    mapper.forgetFiles();
  }

  private void handOver(Instant end) {
    try (Postman.Round round = postman.setOut()) {
      Instant now = system.now();
      OutboxMapper.Row letter = mapper.take(now, now.plus(LEASE));
      while (letter != null) {
        send(round, letter);
        now = system.now();
        letter = now.isBefore(end) ? mapper.take(now, now.plus(LEASE)) : null;
      }
    }
  }

  private void send(Postman.Round round, OutboxMapper.Row letter) {
    try {
      checkpoint.pass("mail: taken, not handed over");
      round.send(letter, mapper.files(letter.id()));
      checkpoint.pass("mail: handed over, not noted");
      mapper.sent(letter.id(), calendar.now());
    } catch (MessagingException failed) {
      String trouble = trouble(failed);
      Optional<Duration> pause =
          Postman.isForGood(failed) ? Optional.empty() : Patience.after(letter.tries());
      pause.ifPresentOrElse(
          time -> mapper.later(letter.id(), trouble, system.now().plus(time)),
          () -> mapper.giveUp(letter.id(), trouble));
      if (Postman.isNobody(failed)) {
        returns.note(letter.messageId(), letter.recipient(), trouble, calendar.now());
      }
    }
  }

  /** What the mail server said last, in one line. */
  private static String trouble(MessagingException failed) {
    Exception last = failed;
    while (last instanceof MessagingException one && one.getNextException() != null) {
      last = one.getNextException();
    }
    String said =
        Optional.ofNullable(last.getMessage())
            .orElse(last.getClass().getSimpleName())
            .replaceAll("\\s+", " ")
            .strip();
    return said.length() > LONGEST_TROUBLE ? said.substring(0, LONGEST_TROUBLE) + "…" : said;
  }
}
