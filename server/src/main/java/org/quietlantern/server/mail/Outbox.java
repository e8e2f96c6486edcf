package org.quietlantern.server.mail;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Collection;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Letters that are to be sent, and what became of them. */
@Service
public class Outbox {
  /** Letters that a group may cause in an hour. */
  static final int OF_A_GROUP = 60;

  private static final Duration HOUR = Duration.ofHours(1);
  private final OutboxMapper mapper;
  private final LanternProperties properties;
  private final Calendar calendar;
  private final SystemTime system;

  /** {@code state}: waiting, sent or given up; {@code trouble}: why the last try failed. */
  public record LetterState(String state, @Nullable String trouble) {}

  Outbox(OutboxMapper mapper, LanternProperties properties, Calendar calendar, SystemTime system) {
    this.mapper = mapper;
    this.properties = properties;
    this.calendar = calendar;
    this.system = system;
  }

  public boolean hasMail() {
    return !properties.mail().server().isEmpty();
  }

  /** Refused where the installation has no mail server. */
  public void requireMail() {
    if (!hasMail()) {
      throw Refusal.conflict(
          "no-mail", "This installation has no mail server; whoever runs it can set mail-server.");
    }
  }

  /**
   * Writes a letter, as a part of what it tells: it leaves if that is done, and not otherwise.
   * Answers its number. Refused where the installation has no mail server, and where a group has
   * written very many.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public long write(Letter letter) {
    requireMail();
    var now = system.now();
    if (letter.group() != null
        && mapper.writtenSince(letter.group(), now.minus(HOUR)) >= OF_A_GROUP) {
      throw new Refusal(
          HttpStatus.TOO_MANY_REQUESTS,
          "too-many-letters",
          "The group has written %d letters within an hour. Try again later."
              .formatted(OF_A_GROUP));
    }
    long number =
        mapper.add(
            new OutboxMapper.NewLetter(
                "<%s@%s>".formatted(name(letter), properties.mail().domain()),
                letter.group(),
                letter.to().text(),
                letter.subject(),
                LetterTexts.text(letter.template(), letter.values()),
                LetterTexts.html(letter.template(), letter.values()),
                calendar.now(),
                now,
                letter.replyTo(),
                letter.regular() == null ? null : letter.regular().stop()));
    mapper.enclose(number, letter.files().toArray(Long[]::new));
    return number;
  }

  /** What a regular letter is about gives the same name whoever writes it. */
  private static UUID name(Letter letter) {
    return letter.regular() == null
        ? UUID.randomUUID()
        : UUID.nameUUIDFromBytes(letter.regular().name().getBytes(StandardCharsets.UTF_8));
  }

  /** Keeps a file for letters that are written with it; answers its number. */
  @Transactional(propagation = Propagation.MANDATORY)
  public long keep(Letter.Enclosed file) {
    return mapper.addFile(file);
  }

  /** How letters stand, by number. */
  @Transactional(readOnly = true)
  public Map<Long, LetterState> states(Collection<Long> letters) {
    return mapper.states(letters.toArray(Long[]::new)).stream()
        .collect(
            Collectors.toMap(
                OutboxMapper.StateRow::id, row -> new LetterState(row.state(), row.trouble())));
  }
}
