package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.bibliography.Bibliographies;
import org.quietlantern.server.bibliography.EntryOfFolder;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Compared;
import org.quietlantern.server.mending.Mends;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What the first made-up group has done to its bibliographies: one is half compared. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoCiting {
  private static final String FOLDER = "Verge lighting";
  private static final int COMPARED = 6;
  private static final int WHEN = 4;
  private final DemoMembers members;
  private final Folders folders;
  private final Bibliographies bibliographies;
  private final Mends mends;
  private final Compared compared;

  DemoCiting(
      DemoMembers members,
      Folders folders,
      Bibliographies bibliographies,
      Mends mends,
      Compared compared) {
    this.members = members;
    this.folders = folders;
    this.bibliographies = bibliographies;
    this.mends = mends;
    this.compared = compared;
  }

  /** {@code left}: days until the past ends. */
  void live(long left) {
    if (left != WHEN) {
      return;
    }
    folder().ifPresent(folder -> compare(members.named("Maren"), folder));
  }

  /** The one whose bibliography is worked on; none in a past that is too short for it. */
  Optional<String> folder() {
    return folders.list(members.named("Maren")).stream()
        .filter(folder -> folder.name().equals(FOLDER))
        .findFirst()
        .map(Folders.FolderLine::id);
  }

  /** Maren mends the first that can be mended; Teodor compares some in which nothing is wrong. */
  private void compare(Member maren, String folder) {
    List<EntryOfFolder> entries = bibliographies.view(maren, folder, 0, StyleChoice.NONE).entries();
    entries.stream()
        .flatMap(
            entry ->
                entry.faults().stream()
                    .filter(fault -> !fault.mend().isEmpty())
                    .map(
                        fault ->
                            new Mends.MendWanted(
                                entry.publication(), fault.field(), fault.reads(), fault.mend())))
        .findFirst()
        .ifPresent(mend -> mends.set(maren, command("mend"), List.of(mend)));
    List<String> right =
        entries.stream()
            .filter(entry -> entry.faults().isEmpty())
            .limit(COMPARED)
            .map(EntryOfFolder::publication)
            .toList();
    if (!right.isEmpty()) {
      compared.tick(members.named("Teodor"), command("compared"), right, true);
    }
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo citing " + what).getBytes(StandardCharsets.UTF_8));
  }
}
