package org.quietlantern.server.digest;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.ChangeKind;
import org.quietlantern.core.watch.Occasion;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.KeptChanges;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.question.QuestionLists;
import org.quietlantern.server.remark.RemarkLists;
import org.quietlantern.server.task.TaskLists;
import org.springframework.stereotype.Component;

/**
 * What came to wait for a member since they were told last: remarks that mention them, questions,
 * answers, tasks, and what became of works that are kept.
 */
@Component
class DigestWaiting {
  /** Of each sort; of the rest it is said that there is more. */
  private static final int MOST = 20;

  private final RemarkLists remarks;
  private final QuestionLists questions;
  private final TaskLists tasks;
  private final KeptChanges keptChanges;
  private final Folders folders;
  private final Publications publications;

  /** As a letter has it; {@code more}: whether there is more than it tells. */
  record Told(List<Map<String, String>> items, boolean more) {}

  DigestWaiting(
      RemarkLists remarks,
      QuestionLists questions,
      TaskLists tasks,
      KeptChanges keptChanges,
      Folders folders,
      Publications publications) {
    this.remarks = remarks;
    this.questions = questions;
    this.tasks = tasks;
    this.keptChanges = keptChanges;
    this.folders = folders;
    this.publications = publications;
  }

  /**
   * @param told until when everything was told
   * @param day of the letter, in the member's zone
   * @param place address of the group's pages
   * @param comeAgain works (row numbers) that the letter tells of because they come again
   */
  Told since(Member who, Instant told, LocalDate day, String place, Set<Integer> comeAgain) {
    List<List<Map<String, String>>> sorts =
        List.of(
            mentions(who, told, place),
            asked(who, told, place),
            toLookUp(who, told, day, place),
            changed(who, told, place, comeAgain));
    return new Told(
        sorts.stream().flatMap(sort -> sort.stream().limit(MOST)).toList(),
        sorts.stream().anyMatch(sort -> sort.size() > MOST));
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

  private List<Map<String, String>> toLookUp(
      Member who, Instant told, LocalDate day, String place) {
    return tasks.toTell(who, told, day, MOST + 1).stream()
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

  private List<Map<String, String>> changed(
      Member who, Instant told, String place, Set<Integer> comeAgain) {
    List<KeptChanges.KeptChange> since =
        keptChanges.since(who, told, MOST + 1 + comeAgain.size()).stream()
            .filter(one -> !comeAgain.contains(one.publication()))
            .toList();
    Map<Integer, WorkTitled> titles =
        publications.titles(
            Viewer.of(who), since.stream().map(KeptChanges.KeptChange::publication).toList());
    return since.stream()
        .filter(one -> titles.containsKey(one.publication()))
        .map(
            one -> {
              WorkTitled work = titles.get(one.publication());
              String happened =
                  Occasion.again(ChangeKind.named(one.kinds())).stream()
                      .map(Occasion::said)
                      .collect(Collectors.joining(", and "));
              return item(
                  "“%s”, kept in “%s”, %s".formatted(work.title(), one.folder().name(), happened),
                  "",
                  place + "p/" + work.id());
            })
        .toList();
  }

  private static Map<String, String> item(String says, String text, String link) {
    return Map.of("says", says, "text", text, "link", link);
  }
}
