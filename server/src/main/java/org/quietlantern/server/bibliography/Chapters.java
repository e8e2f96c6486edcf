package org.quietlantern.server.bibliography;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/** The headings of a bibliography, which the group makes, and what stands below each. */
@Service
public class Chapters implements CommandKinds {
  private static final int MOST = 100;
  private static final int LONGEST = 200;
  private static final int MOST_ENTRIES = 1_000;

  private final CommandKind<ChaptersSet, Before> set =
      CommandKind.of("bibliography.chapters", ChaptersSet.class, Before.class, this::back);
  private final CommandKind<EntriesPut, EntriesBefore> put =
      CommandKind.of("bibliography.chapter", EntriesPut.class, EntriesBefore.class, this::putBack);

  private final ChapterMapper mapper;
  private final Folders folders;
  private final Publications publications;
  private final Commands commands;

  /** The headings in their order. */
  public record ChaptersSet(String folder, List<String> chapters) {}

  /** {@code chapter}: empty: below none. */
  public record EntriesPut(String folder, String chapter, int count) {}

  /** {@code was}: how it read until now; empty for one that comes. */
  public record ChapterWanted(String was, String name) {}

  /**
   * Headings in their order, and below which of them a work stands, by its row number; works
   * without one are not named.
   */
  record Read(List<String> names, Map<Integer, String> of) {}

  record Before(
      int folder, List<ChapterMapper.Chapter> chapters, List<ChapterMapper.Entry> entries) {}

  record EntriesBefore(int folder, List<Integer> works, List<ChapterMapper.Entry> entries) {}

  Chapters(ChapterMapper mapper, Folders folders, Publications publications, Commands commands) {
    this.mapper = mapper;
    this.folders = folders;
    this.publications = publications;
    this.commands = commands;
  }

  /**
   * Sets all headings: new ones, other names, another order; entries of one that goes have none.
   */
  public ChaptersSet set(
      Member who, UUID command, String folder, List<String> seen, List<ChapterWanted> wanted) {
    List<ChapterWanted> clean = cleaned(wanted);
    return commands.run(
        who,
        command,
        set,
        () -> {
          int row = folders.idToEdit(who, folder);
          List<ChapterMapper.Chapter> before = mapper.chapters(row);
          List<String> names = before.stream().map(ChapterMapper.Chapter::name).toList();
          if (!names.equals(seen)) {
            throw Refusal.conflict(
                "stale",
                "Somebody changed the headings meanwhile; they are shown as they are now.");
          }
          List<ChapterMapper.Entry> entries = mapper.entries(row);
          replace(row, before, clean);
          List<String> next = clean.stream().map(ChapterWanted::name).toList();
          return CommandResult.of(new ChaptersSet(folder, next), new Before(row, before, entries))
              .changing(List.of("chapters:" + row))
              .about(Subject.Of.FOLDER, List.of(folder))
              .toldTo(folders.audience(who, folder))
              .differing(Aspect.HEADINGS, String.join(", ", names), String.join(", ", next));
        });
  }

  private void replace(int folder, List<ChapterMapper.Chapter> before, List<ChapterWanted> wanted) {
    Map<String, ChapterMapper.Chapter> there =
        before.stream().collect(Collectors.toMap(ChapterMapper.Chapter::name, Function.identity()));
    List<Integer> stay =
        wanted.stream()
            .filter(one -> there.containsKey(one.was()))
            .map(one -> there.get(one.was()).id())
            .toList();
    mapper.removeOthers(folder, stay.toArray(Integer[]::new));
    // Names go round: two may swap theirs.
    mapper.unname(folder);
    for (int n = 0; n < wanted.size(); n++) {
      ChapterWanted one = wanted.get(n);
      if (there.containsKey(one.was())) {
        mapper.name(there.get(one.was()).id(), n, one.name());
      } else {
        mapper.add(folder, n, one.name());
      }
    }
  }

  private static List<ChapterWanted> cleaned(List<ChapterWanted> wanted) {
    if (wanted.size() > MOST) {
      throw Refusal.unusable("chapters", "A bibliography has at most 100 headings.");
    }
    Set<String> names = new HashSet<>();
    Set<String> were = new HashSet<>();
    List<ChapterWanted> clean = new ArrayList<>();
    for (ChapterWanted one : wanted) {
      String name = Text.clean(one.name());
      if (name.isEmpty() || name.length() > LONGEST) {
        throw Refusal.unusable("chapter", "A heading has between one letter and 200.");
      }
      if (!names.add(name.toLowerCase(Locale.ROOT))) {
        throw Refusal.unusable("chapter", "There are two headings “%s”.".formatted(name));
      }
      if (!one.was().isEmpty() && !were.add(one.was())) {
        throw Refusal.unusable("chapter", "“%s” is named twice.".formatted(one.was()));
      }
      clean.add(new ChapterWanted(one.was(), name));
    }
    return clean;
  }

  /** Puts entries below a heading; empty: below none. */
  public EntriesPut put(
      Member who, UUID command, String folder, List<String> pids, String chapter) {
    return commands.run(
        who,
        command,
        put,
        () -> {
          int row = folders.idToEdit(who, folder);
          List<StoredPublication> works = publications.getAll(Viewer.of(who), pids, MOST_ENTRIES);
          works.forEach(work -> folders.requireHeld(row, work.id()));
          List<Integer> ids = works.stream().map(StoredPublication::id).toList();
          Integer[] all = ids.toArray(Integer[]::new);
          List<ChapterMapper.Entry> before = mapper.entriesOf(row, all);
          mapper.removeEntries(row, all);
          if (!chapter.isEmpty() && mapper.put(row, chapter, all) < all.length) {
            throw Refusal.conflict(
                "stale", "There is no heading “%s” any more.".formatted(chapter));
          }
          return CommandResult.of(
                  new EntriesPut(folder, chapter, ids.size()), new EntriesBefore(row, ids, before))
              .changing(ids.stream().map(id -> "chapter:" + row + ":" + id).toList())
              .about(Subject.Of.FOLDER, List.of(folder))
              .about(Subject.Of.PUBLICATION, works.stream().map(StoredPublication::pid).toList())
              .toldTo(folders.audience(who, folder));
        });
  }

  private String back(Before before) {
    mapper.removeOthers(before.folder(), new Integer[0]);
    before.chapters().forEach(one -> mapper.restore(before.folder(), one));
    before.entries().forEach(one -> mapper.restoreEntry(before.folder(), one));
    return "";
  }

  private String putBack(EntriesBefore before) {
    mapper.removeEntries(before.folder(), before.works().toArray(Integer[]::new));
    long gone =
        before.entries().stream()
            .filter(one -> mapper.restoreEntry(before.folder(), one) == 0)
            .count();
    return gone == 0 ? "" : "Their heading is not there any more.";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set, put);
  }
}
