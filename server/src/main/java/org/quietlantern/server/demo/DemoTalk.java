package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.remark.Remarks;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What members of the first made-up group say to each other in the last days of its past. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoTalk {
  private final DemoMembers members;
  private final Matching matching;
  private final Remarks remarks;

  DemoTalk(DemoMembers members, Matching matching, Remarks remarks) {
    this.members = members;
    this.matching = matching;
    this.remarks = remarks;
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

  /** Of the first that a line finds, if it finds any. */
  private Optional<String> say(String given, String line, String text, @Nullable String answers) {
    Member who = members.named(given);
    return matching.search(who, Strategy.of(line), Ordering.RELEVANCE, 0).ids().stream()
        .findFirst()
        .map(work -> remarks.add(who, command(given + text), work, text, answers).id());
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo says\n" + what).getBytes(StandardCharsets.UTF_8));
  }
}
