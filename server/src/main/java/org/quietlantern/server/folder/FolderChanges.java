package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
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
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/**
 * Folders and what is in them are named anew, moved, taken out and ended. What ended stays as it
 * was and can be brought back ({@link Bin}).
 */
@Service
public class FolderChanges implements CommandKinds {
  private static final int LONGEST_DESCRIPTION = 1_000;
  private final FolderMapper mapper;
  private final SavedSearchMapper searches;
  private final Folders folders;
  private final SavedSearches saved;
  private final Items items;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  private final CommandKind<Folders.FolderName, FolderBefore> change =
      new CommandKind<>(
          "folder.change", Folders.FolderName.class, FolderBefore.class, this::rename);

  private final CommandKind<Folders.FolderName, FolderEnded> end =
      new CommandKind<>("folder.end", Folders.FolderName.class, FolderEnded.class, this::back);

  private final CommandKind<TakenOut, ItemsBefore> takeOut =
      CommandKind.of("item.take-out", TakenOut.class, ItemsBefore.class, this::putBack);

  private final CommandKind<SavedSearch, SearchBefore> changeSearch =
      new CommandKind<>("search.change", SavedSearch.class, SearchBefore.class, this::rename);

  /**
   * What a folder shall be.
   *
   * @param parent the folder in which it shall lie; absent: among the outermost
   * @param description what it is for; absent: as it was
   */
  public record FolderWanted(String name, @Nullable String parent, @Nullable String description) {}

  /** How many left a folder. */
  public record TakenOut(String folder, int publications) {}

  /** {@code description}: absent where it was written down before folders had one. */
  record FolderBefore(
      int folder, String name, @Nullable Integer parent, @Nullable String description) {}

  record FolderEnded(int folder) {}

  record ItemsBefore(List<Items.Taken> taken) {}

  record SearchBefore(String search, String name, int folder) {}

  FolderChanges(
      FolderMapper mapper,
      SavedSearchMapper searches,
      Folders folders,
      SavedSearches saved,
      Items items,
      Publications publications,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.searches = searches;
    this.folders = folders;
    this.saved = saved;
    this.items = items;
    this.publications = publications;
    this.commands = commands;
    this.calendar = calendar;
  }

  /** Names a folder, and puts it into another one, or among the outermost without one. */
  public Folders.FolderName change(Member who, UUID command, String pid, FolderWanted wanted) {
    return commands.run(who, command, change, () -> changed(who, pid, wanted));
  }

  private CommandResult<Folders.FolderName, FolderBefore> changed(
      Member who, String pid, FolderWanted wanted) {
    FolderMapper.Folder folder = folders.toEdit(who, pid);
    String clean = Folders.cleaned(wanted.name());
    String description =
        wanted.description() == null
            ? folder.description()
            : Text.atMost(LONGEST_DESCRIPTION, Text.clean(wanted.description()));
    Integer into = wanted.parent() == null ? null : folders.toEdit(who, wanted.parent()).id();
    if (folder.pile() && into != null) {
      throw Refusal.unusable("pile", "Your pile stays where it is.");
    }
    if (into != null && mapper.liesIn(into, folder.id())) {
      throw Refusal.unusable("folder-circle", "A folder cannot lie in itself.");
    }
    FolderMapper.Place before = mapper.place(folder.id());
    if (mapper.change(folder.id(), clean, into) == 0) {
      throw Folders.nameTaken(clean);
    }
    mapper.describe(folder.id(), description);
    folders.refuseUnseen(who.group());
    return CommandResult.of(
            new Folders.FolderName(folder.pid(), clean),
            new FolderBefore(folder.id(), before.name(), before.parent(), folder.description()))
        .changing(Subject.Of.FOLDER, pid)
        .differing(Aspect.NAME, before.name(), clean)
        .differing(Aspect.PURPOSE, folder.description(), description)
        .differing(Aspect.PLACE, folder.parent(), wanted.parent())
        .toldTo(folder.audience());
  }

  /** Ends a folder with everything in it. One that is watched from or lies around others stays. */
  public Folders.FolderName end(Member who, UUID command, String pid) {
    return commands.run(who, command, end, () -> ended(who, pid));
  }

  private CommandResult<Folders.FolderName, FolderEnded> ended(Member who, String pid) {
    FolderMapper.Folder folder = folders.toEdit(who, pid);
    if (folder.pile()) {
      throw Refusal.unusable("pile", "Your pile cannot be ended; what is in it can be taken out.");
    }
    mapper.liftHidden(folder.id(), who.id());
    List<String> inside = mapper.inside(folder.id());
    if (!inside.isEmpty()) {
      throw Refusal.conflict(
          "folder-holds", "Other folders lie in it: " + String.join(", ", inside) + ".");
    }
    List<String> watched = mapper.watched(folder.id());
    if (!watched.isEmpty()) {
      throw Refusal.conflict(
          "folder-watched",
          "Alerts keep into it or watch a search in it: "
              + String.join(", ", watched)
              + ". End those first, or give them another folder.");
    }
    mapper.end(folder.id(), calendar.now());
    return CommandResult.of(
            new Folders.FolderName(folder.pid(), folder.name()), new FolderEnded(folder.id()))
        .changing(Subject.Of.FOLDER, pid);
  }

  /** Takes publications out of a folder, whoever kept them there; marks stay as they are. */
  public TakenOut takeOut(Member who, UUID command, String pid, List<String> ids) {
    return commands.run(who, command, takeOut, () -> taken(who, pid, ids));
  }

  private CommandResult<TakenOut, ItemsBefore> taken(Member who, String pid, List<String> ids) {
    FolderMapper.Folder folder = folders.toEdit(who, pid);
    List<StoredPublication> works = publications.getAll(Viewer.of(who), ids, Keeping.MOST);
    List<Items.Taken> taken = new ArrayList<>();
    works.forEach(work -> taken.addAll(items.takeOut(folder.id(), work.id())));
    if (taken.isEmpty()) {
      throw Refusal.conflict("changed-since", "It is not in the folder any more.");
    }
    return CommandResult.of(new TakenOut(folder.name(), taken.size()), new ItemsBefore(taken))
        .changing(works.stream().map(work -> "item:" + folder.id() + ":" + work.id()).toList())
        .about(Subject.Of.FOLDER, List.of(pid))
        .about(Subject.Of.PUBLICATION, works.stream().map(StoredPublication::pid).toList())
        .toldTo(folder.audience());
  }

  /** Names a saved search, and puts it into a folder of the group. */
  public SavedSearch changeSearch(
      Member who, UUID command, String pid, String name, String folder) {
    return commands.run(who, command, changeSearch, () -> changedSearch(who, pid, name, folder));
  }

  private CommandResult<SavedSearch, SearchBefore> changedSearch(
      Member who, String pid, String name, String folder) {
    saved.requireEdit(who, pid);
    String clean = SavedSearches.cleaned(name);
    FolderMapper.Folder into = folders.toEdit(who, folder);
    if (into.pile()) {
      throw Refusal.unusable("pile", "Saved searches stand in folders of the group.");
    }
    String folderBefore = saved.get(who, pid).folder().id();
    SavedSearchMapper.Place before = searches.place(pid);
    if (searches.change(pid, clean, into.id()) == 0) {
      throw SavedSearches.nameTaken(clean);
    }
    folders.refuseUnseen(who.group());
    return CommandResult.of(
            saved.get(who, pid), new SearchBefore(pid, before.name(), before.folder()))
        .differing(Aspect.NAME, before.name(), clean)
        .differing(Aspect.PLACE, folderBefore, into.pid())
        .changing(List.of("search:" + pid + ":place"))
        .about(Subject.Of.SEARCH, List.of(pid));
  }

  /** Lets a folder (row number) be there again, as a part of a command. */
  void restoreFolder(Member who, int folder) {
    mapper.liftOut(folder);
    if (mapper.end(folder, null) == 0) {
      throw Folders.nameTaken(mapper.place(folder).name());
    }
    folders.refuseUnseen(who.group());
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(change, end, takeOut, changeSearch);
  }

  private String rename(Member who, UUID command, FolderBefore before) {
    if (mapper.change(before.folder(), before.name(), before.parent()) == 0) {
      throw Folders.nameTaken(before.name());
    }
    if (before.description() != null) {
      mapper.describe(before.folder(), before.description());
    }
    folders.refuseUnseen(who.group());
    return "";
  }

  private String back(Member who, UUID command, FolderEnded before) {
    restoreFolder(who, before.folder());
    return "";
  }

  private String putBack(ItemsBefore before) {
    before.taken().forEach(items::putBack);
    return "";
  }

  private String rename(Member who, UUID command, SearchBefore before) {
    if (searches.change(before.search(), before.name(), before.folder()) == 0) {
      throw SavedSearches.nameTaken(before.name());
    }
    folders.refuseUnseen(who.group());
    return "";
  }
}
