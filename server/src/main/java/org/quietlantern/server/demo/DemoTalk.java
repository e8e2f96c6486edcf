package org.quietlantern.server.demo;

import static java.time.ZoneOffset.UTC;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.remark.Remarks;
import org.quietlantern.server.task.Tasks;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What members of the first made-up group say and ask each other in the last days of its past. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoTalk {
  private final DemoMembers members;
  private final DemoHands hands;
  private final Remarks remarks;
  private final Tasks tasks;

  DemoTalk(DemoMembers members, DemoHands hands, Remarks remarks, Tasks tasks) {
    this.members = members;
    this.hands = hands;
    this.remarks = remarks;
    this.tasks = tasks;
  }

  /** {@code left}: days until the past ends. */
  void live(long left) {
    switch ((int) left) {
      case 6 ->
          say("Teodor", "dimm* and moth*", "@Ilse, are these the lamps of our verge?", null)
              .ifPresent(
                  asked -> say("Ilse", "dimm* and moth*", "The same make, a newer driver.", asked));
      case 5 ->
          say("Maren", "curfew* and bat*", "The map has the sites in the wrong county.", null)
              .ifPresent(this::settled);
      case 7 -> {
        toLookUp("Sefa", "Which recorder had the longer battery?", "loggers", "Sefa", 30)
            .ifPresent(
                task ->
                    tasks.state(
                        members.named("Sefa"),
                        command("looked up"),
                        task,
                        1,
                        "done",
                        "the second, by eleven nights; table 3"));
        toLookUp("Teodor", "Ask the county for the lamp register", "", "", 0);
      }
      case 3 -> {
        toLookUp("Teodor", "How high were the columns at the dimmed sites?", "dimm*", "Ilse", 10);
        toLookUp("Ilse", "Is the data of this one open?", "\"light traps\"", "Maren", 0);
      }
      case 2 ->
          say(
              "Maren",
              "shield*",
              "@Ilse @Teodor, shall we cite this for the cost of shields?",
              null);
      default -> {}
    }
  }

  private void settled(String remark) {
    say("Sefa", "curfew* and bat*", "Corrected in the final version.", remark);
    remarks.settle(members.named("Maren"), command("settled"), remark, true);
  }

  /**
   * Of the first that a line finds, if it finds any.
   *
   * @param line empty: of none
   * @param owner empty: whoever takes it
   * @param days until the day on which it is due, from the end of the past; 0: none
   */
  private Optional<String> toLookUp(
      String given, String text, String line, String owner, int days) {
    Member who = members.named(given);
    Optional<String> work = line.isEmpty() ? Optional.of("") : hands.first(who, line);
    String whose = owner.isEmpty() ? "" : members.named(owner).pid();
    LocalDate due = days == 0 ? null : LocalDate.ofInstant(DemoStart.PRESENT, UTC).plusDays(days);
    return work.map(
        about ->
            tasks.add(who, command(text), new Tasks.Noted(text, about, "", "", whose, due)).id());
  }

  /** Of the first that a line finds, if it finds any. */
  private Optional<String> say(String given, String line, String text, @Nullable String answers) {
    Member who = members.named(given);
    return hands
        .first(who, line)
        .map(work -> remarks.add(who, command(given + text), work, text, answers).id());
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo says\n" + what).getBytes(StandardCharsets.UTF_8));
  }
}
