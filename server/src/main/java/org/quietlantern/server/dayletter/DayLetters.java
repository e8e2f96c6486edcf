package org.quietlantern.server.dayletter;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.job.Job;
import org.quietlantern.server.question.QuestionLists;
import org.quietlantern.server.remark.RemarkLists;
import org.quietlantern.server.task.TaskLists;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Writes, once a day and member, what came to wait since the letter before: remarks that mention
 * them, questions, answers, tasks. A day on which nothing came has no letter. The letter and the
 * note that the day is dealt with are one transaction: killed in between, neither is there.
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
  private final TaskLists tasks;
  private final Folders folders;
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
      TaskLists tasks,
      Folders folders,
      Publications publications,
      Outbox outbox,
      LanternProperties properties,
      Calendar calendar,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.groups = groups;
    this.remarks = remarks;
    this.questions = questions;
    this.tasks = tasks;
    this.folders = folders;
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
    List<List<Map<String, String>>> sorts =
        List.of(
            mentions(who, due.told(), place),
            asked(who, due.told(), place),
            toLookUp(who, due, place));
    List<Map<String, String>> items =
        sorts.stream().flatMap(sort -> sort.stream().limit(MOST)).toList();
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
                "says",
                says,
                "group",
                group,
                "items",
                items,
                "more",
                sorts.stream().anyMatch(sort -> sort.size() > MOST),
                "today",
                place + (who.onlyFolders() ? "folders" : "today"),
                "account",
                place + "account"),
            null));
  }

  private List<Map<String, String>> mentions(Member who, Instant told, String place) {
    List<RemarkLists.Mention> since =
        remarks.mentioning(who, MOST + 1).stream()
            .filter(one -> one.at().isAfter(told) && folders.sees(who, one.publication()))
            .toList();
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
            })
        .toList();
  }

  private List<Map<String, String>> asked(Member who, Instant told, String place) {
    return questions.waiting(who).stream()
        .filter(one -> one.lastAt().isAfter(told))
        .limit(MOST + 1)
        .map(
            one ->
                item(
                    one.mine()
                        ? "%s answered what you asked".formatted(one.lastBy())
                        : "%s asks you".formatted(one.by()),
                    one.text(),
                    place + "questions/" + one.id()))
        .toList();
  }

  private List<Map<String, String>> toLookUp(Member who, DayLetterMapper.Due due, String place) {
    return tasks.toTell(who, due.told(), due.day(), MOST + 1).stream()
        .map(
            one ->
                item(
                    Stream.of(
                            one.by() == null ? "" : one.by() + " gives you something to look up",
                            one.due() ? "It is to be looked up by today" : "")
                        .filter(part -> !part.isEmpty())
                        .collect(Collectors.joining(". ")),
                    one.text(),
                    place + "tasks?of=mine"))
        .toList();
  }

  private static Map<String, String> item(String says, String text, String link) {
    return Map.of("says", says, "text", text, "link", link);
  }
}
