package org.quietlantern.server.vocabulary;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.core.vocabulary.SkosReader;
import org.quietlantern.core.vocabulary.VocabularyUpdate;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Presence;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** Vocabulary files that a steward brings in (rule R1). */
@Service
class VocabularyFiles implements CommandKinds {
  private static final CommandKind<VocabularyChanges, CommandKind.Nothing> TAKE =
      CommandKind.forGood(
          "vocabulary.take",
          VocabularyChanges.class,
          "Headings are brought back by taking in their former file.");

  /** Bytes of a file. */
  private static final int LONGEST = 40_000_000;

  private final Vocabularies vocabularies;
  private final Commands commands;
  private final Groups groups;

  /** How many terms were read so far of files that are read just now, by member. */
  private final Map<Integer, Integer> reading = new ConcurrentHashMap<>();

  /**
   * What a file changes.
   *
   * @param terms how many terms its schemes have from now on
   */
  public record VocabularyChanges(
      int terms,
      int added,
      List<VocabularyUpdate.Renamed> renamed,
      List<VocabularyUpdate.Replaced> replaced,
      List<String> retired,
      List<SkosReader.Problem> problems) {
    static VocabularyChanges of(Vocabularies.Looked looked) {
      VocabularyUpdate update = looked.update();
      return new VocabularyChanges(
          update.terms().size(),
          update.added().size(),
          update.renamed(),
          update.replaced(),
          update.retired(),
          looked.problems());
    }
  }

  VocabularyFiles(Vocabularies vocabularies, Commands commands, Groups groups) {
    this.vocabularies = vocabularies;
    this.commands = commands;
    this.groups = groups;
  }

  public VocabularyChanges look(Member who, byte[] file) {
    check(who, file);
    return VocabularyChanges.of(read(who, file));
  }

  public VocabularyChanges take(Member who, UUID command, byte[] file) {
    check(who, file);
    return commands.run(
        who,
        command,
        TAKE,
        () -> read(who, file),
        looked -> {
          vocabularies.take(looked);
          return CommandKind.done(VocabularyChanges.of(looked)).changing(List.of("vocabulary"));
        });
  }

  /** How far the reading of the member's file is; zero where none is read. */
  public int termsRead(Member who) {
    return reading.getOrDefault(who.id(), 0);
  }

  private Vocabularies.Looked read(Member who, byte[] file) {
    try {
      return usable(
          vocabularies.look(
              file,
              terms -> {
                reading.put(who.id(), terms);
                if (Presence.left()) {
                  throw Refusal.left();
                }
              }));
    } finally {
      reading.remove(who.id());
    }
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(TAKE);
  }

  private void check(Member who, byte[] file) {
    groups.requireSteward(who, "A steward of the installation brings headings in.");
    if (file.length > LONGEST) {
      throw Refusal.unusable("vocabulary-file", "The file is longer than 40 million bytes.");
    }
  }

  private static Vocabularies.Looked usable(Vocabularies.Looked looked) {
    if (looked.update().terms().isEmpty()) {
      String why =
          looked.problems().isEmpty() ? "it has no terms" : looked.problems().get(0).toString();
      throw Refusal.unusable("vocabulary-file", "Nothing in this file can be used; " + why + ".");
    }
    return looked;
  }
}
