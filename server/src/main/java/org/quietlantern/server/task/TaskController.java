package org.quietlantern.server.task;

import java.time.LocalDate;
import java.util.List;
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
@RequestMapping("/api/groups/{group}")
class TaskController {
  private final Tasks tasks;
  private final TaskLists lists;

  /** What is absent was not said; {@code owner}: public id of a member. */
  record NewTask(
      String text,
      @Nullable String publication,
      @Nullable String remark,
      @Nullable String doi,
      @Nullable String owner,
      @Nullable LocalDate due) {

    Tasks.Noted noted() {
      return new Tasks.Noted(text, said(publication), said(remark), said(doi), said(owner), due);
    }
  }

  record TaskText(String text, @Nullable LocalDate due, int version) {}

  /** {@code owner}: public id of a member; absent: whoever takes it. */
  record TaskWhose(@Nullable String owner, int version) {}

  record TaskState(String state, @Nullable String word, int version) {}

  TaskController(Tasks tasks, TaskLists lists) {
    this.tasks = tasks;
    this.lists = lists;
  }

  private static String said(@Nullable String text) {
    return text == null ? "" : text;
  }

  /**
   * What the group has to look up, fifty at a time.
   *
   * @param of {@code open}, {@code mine}, {@code nobody} or {@code ended}
   */
  @GetMapping("/tasks")
  TaskLists.TasksPage tasks(
      Member me,
      @RequestParam(defaultValue = "open") String of,
      @RequestParam(defaultValue = "0") int from) {
    return lists.page(me, of, from);
  }

  /** What is to be looked up about a publication, or was. */
  @GetMapping("/publications/{publication}/tasks")
  List<TaskLists.TaskShown> tasksOf(Member me, @PathVariable String publication) {
    return lists.of(me, publication);
  }

  /** Notes something to be looked up. */
  @PostMapping("/tasks")
  Tasks.TaskGiven addTask(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody NewTask body) {
    return tasks.add(me, command, body.noted());
  }

  /** Writes anew what is to be looked up, and until when. */
  @PutMapping("/tasks/{task}")
  Tasks.TaskGiven changeTask(
      Member me,
      @PathVariable String task,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody TaskText body) {
    return tasks.change(me, command, task, body.version(), body.text(), body.due());
  }

  /** Takes a task, gives it to somebody, or leaves it to whoever takes it. */
  @PutMapping("/tasks/{task}/owner")
  Tasks.TaskGiven giveTask(
      Member me,
      @PathVariable String task,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody TaskWhose body) {
    return tasks.give(me, command, task, body.version(), said(body.owner()));
  }

  /** Says that a task is done, given up, or open again. */
  @PutMapping("/tasks/{task}/state")
  Tasks.TaskGiven stateTask(
      Member me,
      @PathVariable String task,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody TaskState body) {
    return tasks.state(me, command, task, body.version(), body.state(), said(body.word()));
  }
}
