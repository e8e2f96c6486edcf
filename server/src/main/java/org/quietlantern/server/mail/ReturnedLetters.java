package org.quietlantern.server.mail;

import jakarta.mail.MessagingException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Reads reports of letters that could not be delivered, out of a Maildir into which the
 * installation's mail server delivers them. What was read goes from {@code new} to {@code cur}.
 */
@Component
public class ReturnedLetters implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(ReturnedLetters.class);

  /** A report encloses a letter of ours at most; what is larger is none. */
  private static final long LARGEST = 4L * 1024 * 1024;

  private static final int AT_A_TIME = 500;
  private static final int LONGEST = 300;
  private final Returns returns;
  private final Calendar calendar;
  private final String maildir;

  ReturnedLetters(Returns returns, Calendar calendar, LanternProperties properties) {
    this.returns = returns;
    this.calendar = calendar;
    this.maildir = properties.mail().returns();
  }

  @Override
  public String name() {
    return "returned letters";
  }

  @Override
  public Duration every() {
    return Duration.ofMinutes(1);
  }

  @Override
  public void run() {
    if (maildir.isEmpty() || !Files.isDirectory(Path.of(maildir, "new"))) {
      return;
    }
    for (Path file : waiting()) {
      take(file);
    }
  }

  private List<Path> waiting() {
    try (Stream<Path> all = Files.list(Path.of(maildir, "new"))) {
      return all.filter(Files::isRegularFile).sorted().limit(AT_A_TIME).toList();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private void take(Path file) {
    try {
      if (Files.size(file) <= LARGEST) {
        note(DeliveryReport.read(Files.readAllBytes(file)));
      }
    } catch (MessagingException | IOException | RuntimeException unreadable) {
      LOG.warn("{} among returned letters cannot be read: {}", file.getFileName(), unreadable + "");
    }
    done(file);
  }

  private void note(Optional<DeliveryReport> report) {
    report.ifPresent(
        of ->
            of.failed()
                .forEach(
                    failed ->
                        returns.note(
                            of.messageId(),
                            failed.recipient(),
                            cut(failed.why()),
                            calendar.now())));
  }

  private static String cut(String why) {
    return why.length() > LONGEST ? why.substring(0, LONGEST) + "…" : why;
  }

  private void done(Path file) {
    try {
      Path read = Files.createDirectories(Path.of(maildir, "cur"));
      Files.move(
          file,
          read.resolve(file.getFileName().toString().replaceFirst(":.*", "") + ":2,S"),
          StandardCopyOption.REPLACE_EXISTING);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
