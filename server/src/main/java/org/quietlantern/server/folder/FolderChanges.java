package org.quietlantern.server.folder;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Done;
import org.quietlantern.server.action.Undoable;
import org.quietlantern.server.action.Undoer;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Folders and what is in them are named anew, moved, taken out and ended. What ended stays as it
 * was and can be brought back.
 */
@Service
public class FolderChanges implements Undoable {
  private static final String CHANGE = "folder.change";
  private static final String END = "folder.end";
  private static final String TAKE_OUT = "item.take-out";
  private static final String CHANGE_SEARCH = "search.change";
  private final FolderMapper mapper;
  private final SavedSearchMapper searches;
  private final Folders folders;
  private final SavedSearches saved;
  private final Items items;
  private final Publications publications;
  private final Commands commands;
  private final Calendar calendar;

  /** Something that ended; {@code kind} is {@code folder} or {@code search}. */
  public record Ended(String kind, String id, String name, Instant at) {}

  /** How many left a folder. */
  public record TakenOut(String folder, int publications) {}

  record FolderBefore(int folder, String name, @Nullable Integer parent) {}

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
  @Transactional
  public Folders.FolderName change(
      Member who, UUID command, String pid, String name, @Nullable String parent) {
    FolderMapper.Folder folder = folders.get(who, pid);
    String clean = Folders.cleaned(name);
    Integer into = parent == null ? null : folders.get(who, parent).id();
    if (folder.pile() && into != null) {
      throw Refusal.unusable("pile", "Your pile stays where it is.");
    }
    if (into != null && mapper.liesIn(into, folder.id())) {
      throw Refusal.unusable("folder-circle", "A folder cannot lie in itself.");
    }
    return commands.run(
        who, command, CHANGE, Folders.FolderName.class, () -> changed(folder, clean, into));
  }

  private Done<Folders.FolderName> changed(
      FolderMapper.Folder folder, String name, @Nullable Integer parent) {
    FolderMapper.Place before = mapper.place(folder.id());
    if (mapper.change(folder.id(), name, parent) == 0) {
      throw Folders.nameTaken(name);
    }
    return new Done<>(
        subject(folder.pid()),
        new FolderBefore(folder.id(), before.name(), before.parent()),
        Map.of("name", name),
        new Folders.FolderName(folder.pid(), name),
        folder.pile() ? "me" : "group");
  }

  private static String subject(String folder) {
    return "folder:" + folder;
  }

  /** Ends a folder with everything in it. One that is watched from or lies around others stays. */
  @Transactional
  public Folders.FolderName end(Member who, UUID command, String pid) {
    FolderMapper.Folder folder = folders.get(who, pid);
    if (folder.pile()) {
      throw Refusal.unusable("pile", "Your pile cannot be ended; what is in it can be taken out.");
    }
    return commands.run(who, command, END, Folders.FolderName.class, () -> ended(folder));
  }

  private Done<Folders.FolderName> ended(FolderMapper.Folder folder) {
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
    return new Done<>(
        subject(folder.pid()),
        new FolderEnded(folder.id()),
        Map.of("name", folder.name()),
        new Folders.FolderName(folder.pid(), folder.name()));
  }

  /** Takes publications out of a folder, whoever kept them there; marks stay as they are. */
  @Transactional
  public TakenOut takeOut(Member who, UUID command, String pid, List<String> ids) {
    FolderMapper.Folder folder = folders.get(who, pid);
    List<Stored> works = publications.getAll(ids, Keeping.MOST);
    return commands.run(who, command, TAKE_OUT, TakenOut.class, () -> taken(folder, works));
  }

  private Done<TakenOut> taken(FolderMapper.Folder folder, List<Stored> works) {
    List<Items.Taken> taken = new ArrayList<>();
    works.forEach(work -> taken.addAll(items.takeOut(folder.id(), work.id())));
    if (taken.isEmpty()) {
      throw Refusal.conflict("changed-since", "It is not in the folder any more.");
    }
    return new Done<>(
        works.stream().map(work -> "item:" + folder.id() + ":" + work.id()).toList(),
        new ItemsBefore(taken),
        Map.of("folder", folder.pid(), "publications", works.stream().map(Stored::pid).toList()),
        new TakenOut(folder.name(), taken.size()),
        folder.pile() ? "me" : "group");
  }

  /** Names a saved search, and puts it into a folder of the group. */
  @Transactional
  public SavedSearch changeSearch(
      Member who, UUID command, String pid, String name, String folder) {
    saved.get(who, pid);
    String clean = SavedSearches.cleaned(name);
    FolderMapper.Folder into = folders.get(who, folder);
    if (into.pile()) {
      throw Refusal.unusable("pile", "Saved searches stand in folders of the group.");
    }
    return commands.run(
        who, command, CHANGE_SEARCH, SavedSearch.class, () -> changed(who, pid, clean, into.id()));
  }

  private Done<SavedSearch> changed(Member who, String pid, String name, int folder) {
    SavedSearchMapper.Place before = searches.place(pid);
    if (searches.change(pid, name, folder) == 0) {
      throw SavedSearches.nameTaken(name);
    }
    return new Done<>(
        SavedSearches.subject(pid) + ":place",
        new SearchBefore(pid, before.name(), before.folder()),
        Map.of("name", name),
        saved.get(who, pid));
  }

  /** What ended in the group and can be brought back, the last first. */
  @Transactional(readOnly = true)
  public List<Ended> bin(Member who) {
    Stream<Ended> ofFolders =
        mapper.ended(who.group()).stream()
            .map(f -> new Ended("folder", f.pid(), f.name(), f.ended()));
    Stream<Ended> ofSearches =
        searches.ended(who.group()).stream()
            .map(s -> new Ended("search", s.pid(), s.name(), s.ended()));
    return Stream.concat(ofFolders, ofSearches)
        .sorted(Comparator.comparing(Ended::at).reversed())
        .toList();
  }

  /** Brings something back that ended; a search comes back without its alert. */
  @Transactional
  public Ended bringBack(Member who, UUID command, String id) {
    return commands.run(who, command, "bin.back", Ended.class, () -> broughtBack(who, id));
  }

  private Done<Ended> broughtBack(Member who, String id) {
    Ended ended =
        bin(who).stream()
            .filter(one -> one.id().equals(id))
            .findFirst()
            .orElseThrow(Refusal::unknown);
    if (ended.kind().equals("search")) {
      saved.bringBack(id);
      return new Done<>(SavedSearches.subject(id), Map.of(), Map.of("name", ended.name()), ended);
    }
    Optional<FolderMapper.Ended> folder =
        mapper.ended(who.group()).stream().filter(one -> one.pid().equals(id)).findFirst();
    restoreFolder(folder.orElseThrow().id());
    return new Done<>(subject(id), Map.of(), Map.of("name", ended.name()), ended);
  }

  private void restoreFolder(int folder) {
    if (mapper.end(folder, null) == 0) {
      throw Folders.nameTaken(mapper.place(folder).name());
    }
  }

  @Override
  public List<Undoer<?>> undoers() {
    return List.of(
        new Undoer<>(CHANGE, FolderBefore.class, (who, command, before) -> rename(before)),
        new Undoer<>(END, FolderEnded.class, (who, command, before) -> back(before)),
        new Undoer<>(TAKE_OUT, ItemsBefore.class, (who, command, before) -> putBack(before)),
        new Undoer<>(CHANGE_SEARCH, SearchBefore.class, (who, command, before) -> rename(before)));
  }

  private String rename(FolderBefore before) {
    if (mapper.change(before.folder(), before.name(), before.parent()) == 0) {
      throw Folders.nameTaken(before.name());
    }
    return "";
  }

  private String back(FolderEnded before) {
    restoreFolder(before.folder());
    return "";
  }

  private String putBack(ItemsBefore before) {
    before.taken().forEach(items::putBack);
    return "";
  }

  private String rename(SearchBefore before) {
    if (searches.change(before.search(), before.name(), before.folder()) == 0) {
      throw SavedSearches.nameTaken(before.name());
    }
    return "";
  }
}
