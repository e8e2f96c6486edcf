package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.arrival.Marking;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * Does what members of the made-up groups do. The id of a command is made from what it does, so
 * that living through a day a second time changes nothing.
 */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoHands {
  private final Folders folders;
  private final Keeping keeping;
  private final SavedSearches searches;
  private final Matching matching;
  private final Alerts alerts;
  private final Marking marking;

  DemoHands(
      Folders folders,
      Keeping keeping,
      SavedSearches searches,
      Matching matching,
      Alerts alerts,
      Marking marking) {
    this.folders = folders;
    this.keeping = keeping;
    this.searches = searches;
    this.matching = matching;
    this.alerts = alerts;
    this.marking = marking;
  }

  private static UUID command(Member who, String... what) {
    String deed = who.pid() + "\n" + String.join("\n", what);
    return UUID.nameUUIDFromBytes(deed.getBytes(StandardCharsets.UTF_8));
  }

  String folder(Member who, String name) {
    return folders.add(who, command(who, "folder", name), name).id();
  }

  String save(Member who, String folder, String name, String line) {
    UUID command = command(who, "save", folder, name);
    return searches.save(who, command, folder, name, Strategy.of(line)).id();
  }

  void watch(Member who, String folder, String name, String line, String rhythm) {
    String search = save(who, folder, name, line);
    alerts.set(who, command(who, "watch", search), search, rhythm);
  }

  /** Keeps the first that a line finds; nothing where it finds none. */
  void keep(Member who, String folder, String line, String why) {
    List<String> found = matching.search(who, Strategy.of(line), Ordering.RELEVANCE, 0).ids();
    found.stream()
        .findFirst()
        .ifPresent(
            publication ->
                keeping.keep(
                    who, command(who, "keep", folder, line), folder, publication, why, null));
  }

  void mark(Member who, String round, String publication, String mark, String reason) {
    UUID command = command(who, "mark", round, publication, mark);
    marking.mark(who, command, publication, mark, reason, round);
  }
}
