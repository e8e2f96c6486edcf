package org.quietlantern.server.dayletter;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.job.Job;
import org.quietlantern.server.question.QuestionLists;
import org.quietlantern.server.remark.RemarkLists;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes, once a day and member, what came to wait since the letter before: remarks that mention
 * them, questions, answers. A day on which nothing came has no letter. The letter and the note that
 * the day is dealt with are one transaction: killed in between, neither is there.
 */
@Component
public class DayLetters implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(DayLetters.class);

  /** Of each sort; of the rest it is said that there is more. */
  private static final int MOST = 20;

  private final DayLetterMapper mapper;
  private final Groups groups;
  private final RemarkLists remarks;
  private final QuestionLists questions;
  private final Publications publications;
  private final Outbox outbox;
  private final LanternProperties properties;
  private final Calendar calendar;
  private final TransactionTemplate transaction;

  DayLetters(
      DayLetterMapper mapper,
      Groups groups,
      RemarkLists remarks,
      QuestionLists questions,
      Publications publications,
      Outbox outbox,
      LanternProperties properties,
      Calendar calendar,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.groups = groups;
    this.remarks = remarks;
    this.questions = questions;
    this.publications = publications;
    this.outbox = outbox;
    this.properties = properties;
    this.calendar = calendar;
    this.transaction = transaction;
  }

  @Override
  public String name() {
    return "letters of the day";
  }

  @Override
  public Duration every() {
    return Duration.ofMinutes(5);
  }

  @Override
  public void run() {
    if (!outbox.hasMail()) {
      return;
    }
    Instant now = calendar.now();
    for (DayLetterMapper.Due due : mapper.due(now)) {
      try {
        transaction.executeWithoutResult(status -> write(due, now));
      } catch (RuntimeException failed) {
        // The others get theirs; this one is tried again by the next run.
        LOG.error("the letter of the day to membership {} failed", due.membership(), failed);
      }
    }
  }

  private void write(DayLetterMapper.Due due, Instant now) {
    if (mapper.dealWith(due, now) == 0) {
      return;
    }
    Member who = groups.findMember(due.group(), due.account()).orElseThrow();
    String place = "%s/g/%s/".formatted(properties.baseUrl(), who.groupPid());
    List<Map<String, String>> items =
        Stream.concat(mentions(who, due.told(), place), asked(who, due.told(), place)).toList();
    if (items.isEmpty()) {
      return;
    }
    String says = items.size() == 1 ? "Something waits for you" : "Some things wait for you";
    String group = groups.name(who.group());
    outbox.write(
        new Letter(
            MailAddress.read(due.email()).orElseThrow(),
            "%s in “%s”".formatted(says, group),
            "day",
            Map.of(
                "says", says,
                "group", group,
                "items", items,
                "today", place + "today",
                "account", place + "account"),
            null));
  }

  private Stream<Map<String, String>> mentions(Member who, Instant told, String place) {
    List<RemarkLists.Mention> since =
        remarks.mentioning(who, MOST).stream().filter(one -> one.at().isAfter(told)).toList();
    Map<Integer, WorkTitled> titles =
        publications.titles(
            Viewer.of(who), since.stream().map(RemarkLists.Mention::publication).toList());
    return since.stream()
        .filter(one -> titles.containsKey(one.publication()))
        .map(
            one -> {
              WorkTitled work = titles.get(one.publication());
              return item(
                  "%s mentions you at “%s”".formatted(one.by(), work.title()),
                  one.text(),
                  place + "p/" + work.id());
            });
  }

  private Stream<Map<String, String>> asked(Member who, Instant told, String place) {
    return questions.waiting(who).stream()
        .filter(one -> one.lastAt().isAfter(told))
        .limit(MOST)
        .map(
            one ->
                item(
                    one.mine()
                        ? "%s answered what you asked".formatted(one.lastBy())
                        : "%s asks you".formatted(one.by()),
                    one.text(),
                    place + "questions/" + one.id()));
  }

  private static Map<String, String> item(String says, String text, String link) {
    return Map.of("says", says, "text", text, "link", link);
  }
}
