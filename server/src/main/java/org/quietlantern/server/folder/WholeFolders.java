package org.quietlantern.server.folder;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;

/**
 * Folders of the group as a whole: two become one, or one is copied. Nothing is lost or doubled.
 */
@Service
public class WholeFolders implements CommandKinds {
  private final CommandKind<Merged, MergedBefore> merge =
      new CommandKind<>("folder.merge", Merged.class, MergedBefore.class, this::part);
  private final CommandKind<Folders.FolderName, CopiedBefore> copy =
      CommandKind.of("folder.copy", Folders.FolderName.class, CopiedBefore.class, this::remove);

  private final WholeFolderMapper mapper;
  private final FolderMapper folderMapper;
  private final Folders folders;
  private final AnnotationsAlong annotations;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * What it came to.
   *
   * @param into the folder in which everything is now
   * @param publications that came into it
   * @param there how many more were in it before
   */
  public record Merged(Folders.FolderName into, String from, int publications, int there) {}

  /**
   * Everything that went, by row numbers.
   *
   * @param same items whose reasons went to an item that was there
   * @param searches by public id
   * @param along what is said below entries; absent in what was noted before that was
   */
  record MergedBefore(
      int from,
      int to,
      List<WholeFolderMapper.Went> items,
      List<WholeFolderMapper.Same> same,
      List<WholeFolderMapper.ReasonWent> reasons,
      List<String> searches,
      List<Integer> alerts,
      List<Integer> notes,
      List<Integer> inside,
      @Nullable AnnotationsAlong.Along along) {}

  /** {@code bibliography}: how it stood when it was copied; absent in what was noted before. */
  record CopiedBefore(
      int folder,
      List<Integer> items,
      List<Integer> reasons,
      @Nullable AnnotationsAlong.Along along,
      @Nullable String bibliography) {}

  WholeFolders(
      WholeFolderMapper mapper,
      FolderMapper folderMapper,
      Folders folders,
      AnnotationsAlong annotations,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.folderMapper = folderMapper;
    this.folders = folders;
    this.annotations = annotations;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /**
   * Puts everything of one folder into another: publications with what was said of them, searches,
   * reports, the folders inside, and what alerts keep. The first folder is no more.
   */
  public Merged merge(Member who, UUID command, String from, String to) {
    return commands.run(who, command, merge, () -> merged(who, from, to));
  }

  private CommandResult<Merged, MergedBefore> merged(Member who, String from, String to) {
    FolderMapper.Folder first = folders.toEdit(who, from);
    FolderMapper.Folder second = folders.toEdit(who, to);
    refuse(first, second);
    List<WholeFolderMapper.Went> items = mapper.notIn(first.id(), second.id());
    List<WholeFolderMapper.Same> same = mapper.inBoth(first.id(), second.id());
    List<String> keeps =
        mapper.keepers(first.id()).stream()
            .map(one -> Items.keep(first.id(), one.publication(), one.membership()))
            .toList();
    mapper.moveItems(numbers(items.stream().map(WholeFolderMapper.Went::id)), second.id());
    List<WholeFolderMapper.ReasonWent> reasons =
        mapper.moveReasons(
            numbers(same.stream().map(WholeFolderMapper.Same::item)),
            numbers(same.stream().map(WholeFolderMapper.Same::other)));
    MergedBefore before =
        new MergedBefore(
            first.id(),
            second.id(),
            items,
            same,
            reasons,
            mapper.moveSearches(first.id(), second.id()),
            mapper.moveAlerts(first.id(), second.id()),
            mapper.moveNotes(first.id(), second.id()),
            mapper.moveFolders(first.id(), second.id()),
            annotations.went(
                first.id(),
                second.id(),
                Stream.concat(
                        items.stream().map(WholeFolderMapper.Went::publication),
                        same.stream().map(WholeFolderMapper.Same::publication))
                    .distinct()
                    .toList(),
                true));
    mapper.merge(first.id(), second.id(), calendar.now());
    folders.refuseUnseen(who.group());
    long works = items.stream().map(WholeFolderMapper.Went::publication).distinct().count();
    long there = same.stream().map(WholeFolderMapper.Same::publication).distinct().count();
    return CommandResult.of(
            new Merged(
                new Folders.FolderName(second.pid(), second.name()),
                first.name(),
                (int) works,
                (int) there),
            before)
        .changing(changes(before))
        .changing(keeps)
        .changing(Subject.Of.FOLDER, first.pid())
        .about(Subject.Of.FOLDER, List.of(second.pid()));
  }

  private void refuse(FolderMapper.Folder first, FolderMapper.Folder second) {
    if (first.id() == second.id()) {
      throw Refusal.unusable("same-folder", "That is the same folder.");
    }
    if (first.pile() || second.pile()) {
      throw Refusal.unusable(
          "pile", "A pile stays; move what is in it into a folder of the group.");
    }
    if (first.closed() != second.closed()) {
      throw Refusal.unusable(
          "folder-closed",
          "One of them is for some of the group only; move what is in it, or open it first.");
    }
    if (folderMapper.liesIn(second.id(), first.id())) {
      throw Refusal.unusable(
          "folder-circle", "“%s” lies in it; put that elsewhere first.".formatted(second.name()));
    }
    List<String> same = mapper.sameNames(first.id(), second.id());
    if (!same.isEmpty()) {
      throw Refusal.conflict(
          "name-there",
          "Both hold something of the same name: %s. Name one of them anew first."
              .formatted(String.join(", ", same)));
    }
  }

  /** What an earlier act would put back into a folder that is no more is not undone any more. */
  private static List<String> changes(MergedBefore before) {
    List<String> changes = new ArrayList<>();
    // Of two that share a folder the later one is undone first.
    changes.add("whole:" + before.from());
    changes.add("whole:" + before.to());
    Stream.concat(
            before.items().stream().map(WholeFolderMapper.Went::publication),
            before.same().stream().map(WholeFolderMapper.Same::publication))
        .distinct()
        .forEach(work -> changes.add("item:" + before.from() + ":" + work));
    before.same().stream()
        .map(WholeFolderMapper.Same::publication)
        .distinct()
        .forEach(work -> changes.add("item:" + before.to() + ":" + work));
    before.searches().forEach(search -> changes.add("search:" + search + ":place"));
    return changes;
  }

  private static Integer[] numbers(Stream<Integer> numbers) {
    return numbers.toArray(Integer[]::new);
  }

  private static Integer[] numbers(List<Integer> numbers) {
    return numbers.toArray(Integer[]::new);
  }

  private String part(Member who, UUID command, MergedBefore before) {
    int from = before.to();
    int to = before.from();
    if (folderMapper.end(to, null) == 0) {
      throw Folders.nameTaken(folderMapper.place(to).name());
    }
    int returned =
        mapper.returnItems(
            numbers(before.items().stream().map(WholeFolderMapper.Went::id)),
            before.items().stream().map(WholeFolderMapper.Went::place).toArray(Double[]::new),
            from,
            to);
    mapper.returnReasons(
        numbers(before.reasons().stream().map(WholeFolderMapper.ReasonWent::id)),
        numbers(before.reasons().stream().map(WholeFolderMapper.ReasonWent::item)),
        from);
    mapper.dropUnkept(numbers(before.same().stream().map(WholeFolderMapper.Same::other)));
    mapper.dropUnkept(numbers(before.same().stream().map(WholeFolderMapper.Same::item)));
    mapper.returnSearches(before.searches().toArray(String[]::new), from, to);
    mapper.returnAlerts(numbers(before.alerts()), from, to);
    mapper.returnNotes(numbers(before.notes()), from, to);
    mapper.returnFolders(numbers(before.inside()), from, to);
    annotations.back(before.along(), from, to);
    folders.refuseUnseen(who.group());
    int elsewhere = before.items().size() - returned;
    return elsewhere == 0 ? "" : elsewhere + " of them went elsewhere since, and stay there.";
  }

  /** Another folder with the same publications and what was said of them, beside the first. */
  public Folders.FolderName copy(Member who, UUID command, String folder, @Nullable String name) {
    return commands.run(who, command, copy, () -> copied(who, folder, Folders.cleaned(name)));
  }

  private CommandResult<Folders.FolderName, CopiedBefore> copied(
      Member who, String pid, String name) {
    FolderMapper.Folder folder = folders.toEdit(who, pid);
    if (folder.pile()) {
      throw Refusal.unusable("pile", "A pile stays one; copy what is in it into a folder.");
    }
    String made = ids.next();
    Integer id = mapper.addLike(folder.id(), made, name, calendar.now());
    if (id == null) {
      throw Folders.nameTaken(name);
    }
    mapper.copyNamed(folder.id(), id);
    List<Integer> items = mapper.copyItems(folder.id(), id);
    List<Integer> reasons = mapper.copyReasons(folder.id(), id);
    mapper.copyBibliography(folder.id(), id);
    AnnotationsAlong.Along along =
        annotations.went(
            folder.id(), id, Arrays.stream(folderMapper.works(id)).boxed().toList(), false);
    return CommandResult.of(
            new Folders.FolderName(made, name),
            new CopiedBefore(id, items, reasons, along, mapper.bibliographyState(id)))
        .changing(Subject.Of.FOLDER, made)
        .about(Subject.Of.FOLDER, List.of(pid));
  }

  private String remove(CopiedBefore before) {
    AnnotationsAlong.Along along = AnnotationsAlong.Along.noted(before.along());
    boolean asCopied =
        before.bibliography() == null
            || before.bibliography().equals(mapper.bibliographyState(before.folder()));
    if (!asCopied
        || !mapper.holdsOnly(
            before.folder(),
            numbers(before.items()),
            numbers(before.reasons()),
            numbers(along.annotations()))) {
      throw Refusal.conflict("folder-holds", "Something was put into the folder, so it stays.");
    }
    mapper.empty(before.folder());
    folderMapper.remove(before.folder());
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(merge, copy);
  }
}
