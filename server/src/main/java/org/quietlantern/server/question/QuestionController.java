package org.quietlantern.server.question;

import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/questions")
class QuestionController {
  private final Questions questions;
  private final QuestionLists lists;

  /** {@code to}: public id of a member; absent: the group's librarian. */
  record NewQuestion(@Nullable String to, String text, @Nullable String place) {}

  /** {@code q}: a sheet that is proposed; absent: none is. */
  record NewWord(String text, @Nullable String q) {}

  /** {@code took}: the word whose sheet is taken; absent: none is. */
  record QuestionState(boolean closed, @Nullable String took, int version) {}

  QuestionController(Questions questions, QuestionLists lists) {
    this.questions = questions;
    this.lists = lists;
  }

  /**
   * What the member asked and is asked, fifty at a time.
   *
   * @param of {@code waiting} (for the member), {@code open} or {@code ended}
   */
  @GetMapping
  QuestionLists.QuestionsPage questions(
      Member me,
      @RequestParam(defaultValue = "waiting") String of,
      @RequestParam(defaultValue = "0") int from) {
    return lists.page(me, of, from);
  }

  /** A question and all that was said to it; for its two sides. */
  @GetMapping("/{question}")
  QuestionLists.QuestionWhole question(Member me, @PathVariable String question) {
    return lists.get(me, question);
  }

  /** Asks a colleague, or the group's librarian, with what is looked at. */
  @PostMapping
  Questions.QuestionAsked ask(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewQuestion body) {
    return questions.ask(
        me,
        command,
        body.to() == null ? "" : body.to(),
        body.text(),
        body.place() == null ? "" : body.place());
  }

  /** Says something to a question, with another sheet where one is proposed. */
  @PostMapping("/{question}/words")
  Questions.QuestionAsked answer(
      Member me,
      @PathVariable String question,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody NewWord body) {
    return questions.answer(me, command, question, body.text(), body.q());
  }

  /** Says that nothing more is needed, or that it is asked again; for whoever asked. */
  @PutMapping("/{question}/state")
  Questions.QuestionAsked stand(
      Member me,
      @PathVariable String question,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody QuestionState body) {
    return questions.stand(me, command, question, body.version(), body.closed(), body.took());
  }
}
