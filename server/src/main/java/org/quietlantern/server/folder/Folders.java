package org.quietlantern.server.folder;

import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.quietlantern.server.action.Audience;
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
import org.roaringbitmap.RoaringBitmap;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The group's shared places. */
@Service
public class Folders implements CommandKinds {
  private static final int LONGEST_NAME = 120;
  private final FolderMapper mapper;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<FolderName, Before> add =
      new CommandKind<>("folder.add", FolderName.class, Before.class, this::takeBack);

  /**
   * A folder in a list.
   *
   * @param pile the member's own, which nobody else sees
   * @param parent the folder in which it lies
   * @param may {@code read}, {@code remark} or {@code edit}
   * @param closed whether it is for some of the group only
   */
  public record FolderLine(
      String id,
      String name,
      boolean pile,
      @Nullable String parent,
      String may,
      boolean closed,
      int items,
      int searches) {}

  /** A folder by name. */
  public record FolderName(String id, String name) {}

  record Before(String folder) {}

  Folders(FolderMapper mapper, Commands commands, PublicIds ids, Calendar calendar) {
    this.mapper = mapper;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  @Transactional(readOnly = true)
  public List<FolderLine> list(Member who) {
    return mapper.list(who.id()).stream()
        .map(
            f ->
                new FolderLine(
                    f.pid(),
                    f.name(),
                    f.pile(),
                    f.parent(),
                    f.may(),
                    f.closed(),
                    f.items(),
                    f.searches()))
        .toList();
  }

  /** Makes a folder; one of that name is refused with its name. */
  public FolderName add(Member who, UUID command, String name) {
    return commands.run(who, command, add, () -> make(who, cleaned(name)));
  }

  /** A name as it is kept; refused where it is empty or too long. */
  static String cleaned(String name) {
    String clean = name == null ? "" : name.strip();
    if (clean.isEmpty() || clean.length() > LONGEST_NAME) {
      throw Refusal.unusable(
          "folder-name", "A folder needs a name of at most " + LONGEST_NAME + " characters.");
    }
    return clean;
  }

  static Refusal nameTaken(String name) {
    return Refusal.conflict("folder-there", "There is a folder named “" + name + "” already.");
  }

  private CommandResult<FolderName, Before> make(Member who, String name) {
    String pid = ids.next();
    if (mapper.add(pid, who.group(), name, calendar.now()) == null) {
      throw nameTaken(name);
    }
    return CommandResult.of(new FolderName(pid, name), new Before(pid))
        .changing(Subject.Of.FOLDER, pid);
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(add);
  }

  private String takeBack(Member who, UUID command, Before before) {
    int folder = toEdit(who, before.folder()).id();
    if (!mapper.isEmpty(folder)) {
      throw Refusal.conflict("folder-holds", "There is something in the folder, so it stays.");
    }
    mapper.remove(folder);
    return "";
  }

  /** Row number of a folder that the member may see. */
  @Transactional(readOnly = true)
  public int id(Member who, String folder) {
    return get(who, folder).id();
  }

  /** Row number of a folder that the member may change; for parts of commands. */
  @Transactional(readOnly = true)
  public int idToEdit(Member who, String folder) {
    return toEdit(who, folder).id();
  }

  /** Row number of a folder in which the member may say something; for parts of commands. */
  @Transactional(readOnly = true)
  public int idToRemark(Member who, String folder) {
    FolderMapper.Folder found = get(who, folder);
    if (!found.allows(FolderRight.REMARK)) {
      throw new Refusal(
          HttpStatus.FORBIDDEN,
          "not-yours",
          "You may read “%s”, not say something of it.".formatted(found.name()));
    }
    return found.id();
  }

  /** What a member may do in a folder that they see. */
  @Transactional(readOnly = true)
  public FolderRight may(Member who, String folder) {
    return FolderRight.read(get(who, folder).may()).orElseThrow();
  }

  /** Refuses a work (row number) that is not in a folder (row number). */
  @Transactional(readOnly = true)
  public void requireHeld(int folder, int publication) {
    if (mapper.findItem(folder, publication) == null) {
      throw Refusal.unknown();
    }
  }

  /** Who is told of what is done in a folder, of those who see it. */
  @Transactional(readOnly = true)
  public Audience audience(Member who, String folder) {
    return get(who, folder).audience();
  }

  /** Whether a folder is the member's own pile, of which others see nothing. */
  @Transactional(readOnly = true)
  public boolean isPile(Member who, String folder) {
    return get(who, folder).pile();
  }

  /** Whether a folder is for some of the group only; piles are. */
  @Transactional(readOnly = true)
  public boolean isClosed(Member who, String folder) {
    return get(who, folder).closed();
  }

  /** Refuses where something that is the group's would stand in a folder not all of it sees. */
  @Transactional(readOnly = true)
  public void refuseUnseen(int group) {
    mapper.unseen(group).stream()
        .findFirst()
        .ifPresent(
            one -> {
              throw Refusal.conflict(
                  "folder-closed",
                  "Searches and alerts are the group's, and “%s” in “%s” would not be: put it into a folder that every member may change."
                      .formatted(one.what(), one.folder()));
            });
  }

  /** Whether a member may say something of a work: guests by a folder that lets them. */
  @Transactional(readOnly = true)
  public boolean mayRemark(Member who, int publication) {
    return who.mayWrite() || mapper.holds(who.id(), publication, FolderRight.REMARK.word());
  }

  /** Refuses a work to somebody who sees single folders only, where none of them holds it. */
  @Transactional(readOnly = true)
  public void requireSeen(Member who, int publication) {
    if (!sees(who, publication)) {
      throw Refusal.unknown();
    }
  }

  /** Whether a work is somebody's to see: for those who see single folders only what these hold. */
  @Transactional(readOnly = true)
  public boolean sees(Member who, int publication) {
    return !who.onlyFolders() || mapper.holds(who.id(), publication, FolderRight.READ.word());
  }

  /** Folders of the group that hold these publications, by row number of the publication. */
  @Transactional(readOnly = true)
  public Map<Integer, List<FolderName>> holding(Member who, Collection<Integer> publications) {
    return mapper.keptIn(who.id(), publications.toArray(Integer[]::new)).stream()
        .collect(
            Collectors.groupingBy(
                FolderMapper.KeptIn::publication,
                Collectors.mapping(k -> new FolderName(k.pid(), k.name()), Collectors.toList())));
  }

  /** Those of some works (row numbers) that are in any folder of the member's group, or a pile. */
  @Transactional(readOnly = true)
  public Set<Integer> heldByAnybody(Member who, Collection<Integer> works) {
    return Set.copyOf(mapper.heldByAnybody(who.group(), works.toArray(Integer[]::new)));
  }

  /** Row numbers of all works in folders that the member sees. */
  @Transactional(readOnly = true)
  public RoaringBitmap works(Member who) {
    return RoaringBitmap.bitmapOf(mapper.worksOf(who.id()));
  }

  /** The same, by folder, in the order of their names. */
  @Transactional(readOnly = true)
  public Map<FolderName, RoaringBitmap> worksByFolder(Member who) {
    Map<FolderName, RoaringBitmap> works = new LinkedHashMap<>();
    mapper
        .worksByFolder(who.id())
        .forEach(
            one ->
                works.put(
                    new FolderName(one.pid(), one.name()),
                    RoaringBitmap.bitmapOf(
                        Arrays.stream(one.works()).mapToInt(Integer::intValue).toArray())));
    return works;
  }

  /** Row numbers of the works in a folder that the member may see. */
  @Transactional(readOnly = true)
  public RoaringBitmap works(Member who, String folder) {
    return RoaringBitmap.bitmapOf(mapper.works(get(who, folder).id()));
  }

  /** Names of those folders that the member may see, ended or not, by public id. */
  @Transactional(readOnly = true)
  public Map<String, String> names(Member who, Collection<String> folders) {
    return mapper.names(who.id(), folders.toArray(String[]::new)).stream()
        .collect(Collectors.toMap(FolderName::id, FolderName::name));
  }

  /** Public id of the group that a shared folder belongs to. */
  @Transactional(readOnly = true)
  public Optional<String> groupOf(String folder) {
    return Optional.ofNullable(mapper.groupOf(folder));
  }

  /** One that the member may see. */
  FolderMapper.Folder get(Member who, String folder) {
    return Optional.ofNullable(mapper.find(who.id(), folder))
        .orElseThrow(() -> unknown(who, folder));
  }

  /** One that the member may change; refused with what they may, where that is less. */
  FolderMapper.Folder toEdit(Member who, String folder) {
    FolderMapper.Folder found = get(who, folder);
    requireEdit(found);
    return found;
  }

  /** Refuses whoever may not change a folder (row number). */
  @Transactional(readOnly = true)
  public void requireEdit(Member who, int folder) {
    requireEdit(Optional.ofNullable(mapper.byId(who.id(), folder)).orElseThrow(Refusal::unknown));
  }

  static void requireEdit(FolderMapper.Folder folder) {
    if (!folder.allows(FolderRight.EDIT)) {
      throw new Refusal(
          HttpStatus.FORBIDDEN,
          "not-yours",
          "You may read “%s”, not change it.".formatted(folder.name()));
    }
  }

  /** Of one that ended it is said what became of it. */
  private Refusal unknown(Member who, String folder) {
    return Optional.ofNullable(mapper.gone(who.id(), folder))
        .map(this::gone)
        .orElseGet(Refusal::unknown);
  }

  private Refusal gone(FolderMapper.Gone gone) {
    return gone.into() == null
        ? new Refusal(
            HttpStatus.GONE,
            "ended",
            (gone.ended().isAfter(calendar.now().minus(Bin.LIES))
                    ? "The folder “%s” lies in the bin, from which it can be brought back."
                    : "The folder “%s” has ended.")
                .formatted(gone.name()))
        : new Refusal(
            HttpStatus.GONE,
            "merged",
            "The folder “%s” went into “%s”.".formatted(gone.name(), gone.intoName()),
            Map.of("folder", gone.into()));
  }

  /** Whether a folder (row number) is there and has not ended. */
  @Transactional(readOnly = true)
  public boolean isThere(int folder) {
    return mapper.isThere(folder);
  }

  /** Refuses to put something back into a folder (row number) that has ended. */
  @Transactional(readOnly = true)
  public void requireThere(int folder) {
    if (!mapper.isThere(folder)) {
      throw isNoMore(mapper.place(folder).name());
    }
  }

  static Refusal isNoMore(String name) {
    return Refusal.conflict(
        "folder-ended",
        "The folder “%s” is no more; bring it back first, then undo this.".formatted(name));
  }
}
