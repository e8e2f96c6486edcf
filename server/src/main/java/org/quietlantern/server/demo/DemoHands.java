package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.server.alert.AlertSetting;
import org.quietlantern.server.arrival.Marking;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.revising.Checking;
import org.quietlantern.server.revising.Documenting;
import org.quietlantern.server.revising.Remarking;
import org.quietlantern.server.revising.Revising;
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
  private final AlertSetting alerts;
  private final Marking marking;
  private final Documenting documenting;
  private final Revising revising;
  private final Checking checking;
  private final Remarking remarking;

  DemoHands(
      Folders folders,
      Keeping keeping,
      SavedSearches searches,
      Matching matching,
      AlertSetting alerts,
      Marking marking,
      Documenting documenting,
      Revising revising,
      Checking checking,
      Remarking remarking) {
    this.folders = folders;
    this.keeping = keeping;
    this.searches = searches;
    this.matching = matching;
    this.alerts = alerts;
    this.marking = marking;
    this.documenting = documenting;
    this.revising = revising;
    this.checking = checking;
    this.remarking = remarking;
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
    alerts.set(who, command(who, "watch", search), AlertSetting.AlertWanted.of(search, rhythm));
  }

  /** On what it finds so many decide apart. */
  void watchApart(Member who, String folder, String name, String line, String rhythm, int asked) {
    String search = save(who, folder, name, line);
    alerts.set(
        who, command(who, "watch", search), AlertSetting.AlertWanted.apart(search, rhythm, asked));
  }

  /** Documents a search, and changes it with a reason. */
  void revise(Member who, String search, int n, String line, String why) {
    documenting.declare(who, command(who, "document", search), search, true);
    revising.save(
        who,
        command(who, "revise", search, "" + n),
        search,
        new Revising.Draft(n, Strategy.of(line), why, false));
  }

  void give(Member who, String search, int n, Member colleague) {
    checking.give(who, command(who, "give", search), search, n, colleague.pid());
  }

  /** Remarks on the only line of a revision and says that it was checked. */
  void check(Member who, String search, int n, String remark) {
    String line = searches.get(who, search).strategy().lines().get(0).id();
    remarking.remark(who, command(who, "remark", search), search, n, line, remark);
    checking.checked(who, command(who, "checked", search), search, n);
  }

  /** The first that a line finds, if it finds any. */
  Optional<String> first(Member who, String line) {
    return matching.search(who, Strategy.of(line), Ordering.RELEVANCE, 0).ids().stream()
        .findFirst();
  }

  void keepInPile(Member who, String line, String why) {
    first(who, line)
        .ifPresent(
            publication ->
                keeping.keepInPile(
                    who,
                    command(who, "pile", line),
                    new Keeping.ToKeep(List.of(publication), why, null)));
  }

  /** Keeps the first that a line finds; nothing where it finds none. */
  void keep(Member who, String folder, String line, String why) {
    first(who, line)
        .ifPresent(
            publication ->
                keeping.keep(
                    who,
                    command(who, "keep", folder, line),
                    folder,
                    new Keeping.ToKeep(List.of(publication), why, null)));
  }

  void mark(Member who, String round, String publication, String mark, String reason) {
    UUID command = command(who, "mark", round, publication, mark);
    marking.mark(who, command, new Marking.Given(List.of(publication), mark, reason, round));
  }
}
