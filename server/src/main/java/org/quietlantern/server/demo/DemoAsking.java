package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.group.GroupSettings;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.membership.Setting;
import org.quietlantern.server.question.Questions;
import org.quietlantern.server.trail.Trail;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What the first made-up group has set, and what its members ask each other about searching. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoAsking {
  private static final String NARROW = "underpass* (bat or bats)";
  private static final String WIDER = "(underpass* or bridge* or culvert*) (bat or bats)";

  private final DemoMembers members;
  private final DemoHands hands;
  private final Setting settings;
  private final Questions questions;
  private final Trail trail;

  DemoAsking(
      DemoMembers members, DemoHands hands, Setting settings, Questions questions, Trail trail) {
    this.members = members;
    this.hands = hands;
    this.settings = settings;
    this.questions = questions;
    this.trail = trail;
  }

  /** {@code left}: days until the past ends. */
  void live(long left) {
    switch ((int) left) {
      case 12 -> {
        set();
        String place = "/q/" + sheet("Teodor", NARROW);
        String asked = ask("Teodor", "", place, "So few. Which words do I miss?");
        answer("Sefa", asked, "Underpasses are also called culverts.", WIDER);
      }
      case 3 ->
          hands
              .first(members.named("Noor"), "spectr*")
              .ifPresent(
                  work -> ask("Noor", "Ilse", "/p/" + work, "Is this measured as we would do it?"));
      default -> {}
    }
  }

  private void set() {
    Member ilse = members.named("Ilse");
    GroupSettings now = settings.of(ilse);
    settings.set(
        ilse,
        command("settings"),
        new GroupSettings(
            now.name(),
            now.zone(),
            false,
            null,
            DemoReasons.forPassing(),
            List.of(members.named("Sefa").pid()),
            "apa",
            "",
            1));
  }

  private String sheet(String given, String line) {
    return trail
        .settle(members.named(given), command(given + line), Strategy.of(line), Ordering.RELEVANCE)
        .q();
  }

  /** {@code to} empty: the librarian. */
  private String ask(String given, String to, String place, String text) {
    String whom = to.isEmpty() ? "" : members.named(to).pid();
    return questions.ask(members.named(given), command(text), whom, text, place).id();
  }

  private void answer(String given, String question, String text, String line) {
    questions.answer(members.named(given), command(text), question, text, sheet(given, line));
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo asks\n" + what).getBytes(StandardCharsets.UTF_8));
  }
}
