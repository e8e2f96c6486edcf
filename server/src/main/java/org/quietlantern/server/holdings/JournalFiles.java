package org.quietlantern.server.holdings;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.quietlantern.core.holdings.Journal;
import org.quietlantern.core.holdings.JournalsReader;
import org.quietlantern.core.holdings.JournalsWriter;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** What is known of journals as a file: looked at, taken in by stewards, and out again. */
@Service
public class JournalFiles implements CommandKinds {
  private static final String WHO = "A steward of the installation brings journals in.";
  private static final int LONGEST = 20_000_000;
  private static final CommandKind<JournalChanges, CommandKind.Nothing> TAKE =
      CommandKind.forGood(
          "journals.take",
          JournalChanges.class,
          "What was known of journals before is brought back by taking in its file.");

  private final KnownJournals known;
  private final Commands commands;
  private final Groups groups;

  /**
   * What a file changes. Journals that it does not name stay.
   *
   * @param journals that it names
   * @param added titles of those that are new
   * @param changed titles of those of which something else is known now
   * @param problems lines that cannot be used
   */
  public record JournalChanges(
      int journals, List<String> added, List<String> changed, List<String> problems) {}

  JournalFiles(KnownJournals known, Commands commands, Groups groups) {
    this.known = known;
    this.commands = commands;
    this.groups = groups;
  }

  /** What taking a file in would change. */
  public JournalChanges look(Member who, @Nullable String csv) {
    groups.requireSteward(who, WHO);
    return changes(usable(csv));
  }

  /** One out of which nothing can be used changes nothing. */
  public JournalChanges take(Member who, UUID command, @Nullable String csv) {
    groups.requireSteward(who, WHO);
    return commands.run(
        who,
        command,
        TAKE,
        () -> usable(csv),
        file -> {
          JournalChanges changes = changes(file);
          known.take(file);
          return CommandKind.done(changes).changing(List.of("journals"));
        });
  }

  private static String usable(@Nullable String csv) {
    String file = csv == null ? "" : csv.replace("\u0000", "").replaceFirst("^\uFEFF", "");
    if (file.length() > LONGEST) {
      throw Refusal.unusable("journals-file", "The file is longer than 20 million characters.");
    }
    JournalsReader.Read read = JournalsReader.read(file);
    if (read.journals().isEmpty()) {
      String first =
          read.problems().stream().findFirst().orElse("it has no lines behind its names");
      throw Refusal.unusable("journals-file", "Nothing in this file can be used; " + first + ".");
    }
    return file;
  }

  private JournalChanges changes(String file) {
    JournalsReader.Read read = JournalsReader.read(file);
    Map<String, Journal> before = new HashMap<>();
    known.all().all().forEach(journal -> before.put(journal.issn(), journal));
    List<String> added = new ArrayList<>();
    List<String> changed = new ArrayList<>();
    for (Journal journal : read.journals()) {
      Journal was = before.put(journal.issn(), journal);
      if (was == null) {
        added.add(journal.title());
      } else if (!was.equals(journal)) {
        changed.add(journal.title());
      }
    }
    return new JournalChanges(read.journals().size(), added, changed, read.problems());
  }

  /** All journals, by title. */
  public String csv() {
    return JournalsWriter.write(known.all().all());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(TAKE);
  }
}
