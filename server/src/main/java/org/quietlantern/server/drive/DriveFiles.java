package org.quietlantern.server.drive;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.quietlantern.core.drive.DrivePath;
import org.quietlantern.server.action.Audience;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files that members put on the drive of their group. */
@Service
public class DriveFiles implements CommandKinds {
  private static final int PAGE = 50;
  private static final CommandKind<OnDrive, CommandKind.Nothing> PUT =
      CommandKind.forGood("drive.put", OnDrive.class, "Files are taken off the drive there.");
  private static final CommandKind<OnDrive, CommandKind.Nothing> AGAIN =
      CommandKind.forGood("drive.again", OnDrive.class, "It was sent, and stands on the drive.");

  private final CommandKind<OnDrive, KeptBefore> keep =
      new CommandKind<>("drive.keep", OnDrive.class, KeptBefore.class, this::keptBack);
  private final CommandKind<OnDrive, FileBefore> leave =
      new CommandKind<>("drive.leave", OnDrive.class, FileBefore.class, this::backOnList);

  private final DriveFileMapper mapper;
  private final Drives drives;
  private final DriveContents contents;
  private final Folders folders;
  private final Groups groups;
  private final Commands commands;
  private final Json json;
  private final PublicIds ids;
  private final Calendar calendar;

  /** A file with its public id; {@code path}: with slashes between names. */
  public record OnDrive(String id, String path) {}

  /** What an undo needs to know. */
  record KeptBefore(String id, boolean kept) {}

  /** What an undo needs to know. */
  record FileBefore(String id) {}

  /**
   * A file on the drive, or on its way there.
   *
   * @param path below the group's folder, with slashes between names
   * @param title of what it is
   * @param folder of which it is; absent where it is of none
   * @param what {@code references}, {@code bibliography} or {@code text}
   * @param by in whose name it is written; absent where that is nobody any more
   * @param kept whether it is kept up to date
   * @param state {@code waiting}, {@code written} or {@code failed}
   * @param trouble why the last try failed; empty where it did not
   * @param taken whether something else stands there, that it may be written over
   * @param written when it was last
   * @param works how many stand in it since
   */
  public record DriveFileShown(
      String id,
      String path,
      String title,
      @Nullable String folder,
      String what,
      @Nullable String by,
      boolean kept,
      String state,
      String trouble,
      boolean taken,
      @Nullable Instant written,
      int works) {}

  /** {@code more}: the id to ask for the next ones with; absent after the last. */
  record DrivePage(List<DriveFileShown> files, @Nullable String more) {}

  /**
   * What shall stand there.
   *
   * @param in a folder of the drive, made where it is not there; empty: the group's own
   * @param name of the file; empty: one by what it is
   */
  public record PutWanted(String in, String name, boolean kept, DriveWanted file) {}

  DriveFiles(
      DriveFileMapper mapper,
      Drives drives,
      DriveContents contents,
      Folders folders,
      Groups groups,
      Commands commands,
      Json json,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.drives = drives;
    this.contents = contents;
    this.folders = folders;
    this.groups = groups;
    this.commands = commands;
    this.json = json;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** The latest first; {@code before}: as a page said. Of a folder that one may not see: none. */
  @Transactional(readOnly = true)
  public DrivePage page(Member who, @Nullable String before) {
    Drives.requireMember(who);
    Integer from = before == null ? Integer.valueOf(0) : mapper.id(who.group(), before);
    if (from == null) {
      throw Refusal.unknown();
    }
    Page<DriveFileMapper.Row> page = Page.of(mapper.of(who.group(), from, PAGE + 1), PAGE);
    return new DrivePage(shown(who, page.rows()), page.more() ? page.last().pid() : null);
  }

  /** Files of a member that could not be written, the latest first. */
  @Transactional(readOnly = true)
  public List<DriveFileShown> inTrouble(Member who, int most) {
    return mapper.inTrouble(who.id(), most).stream().map(row -> shown(row, who.name())).toList();
  }

  private List<DriveFileShown> shown(Member who, List<DriveFileMapper.Row> rows) {
    List<String> named =
        rows.stream().map(DriveFileMapper.Row::folder).filter(Objects::nonNull).toList();
    Map<String, String> seen = folders.names(who, named);
    Map<Integer, String> names = groups.names(who.group());
    return rows.stream()
        .filter(row -> row.folder() == null || seen.containsKey(row.folder()))
        .map(row -> shown(row, names.get(row.membership())))
        .toList();
  }

  private DriveFileShown shown(DriveFileMapper.Row row, @Nullable String by) {
    return new DriveFileShown(
        row.pid(),
        row.path(),
        row.title(),
        row.folder(),
        wanted(row).what(),
        by,
        row.kept(),
        row.state(),
        row.trouble(),
        row.taken(),
        row.written(),
        row.works());
  }

  DriveWanted wanted(DriveFileMapper.Row row) {
    return json.read(row.wanted(), DriveWanted.class);
  }

  /** One that the member may see. */
  private DriveFileMapper.Row row(Member who, String pid) {
    Drives.requireMember(who);
    DriveFileMapper.Row row = mapper.find(who.group(), pid);
    if (row == null || !sees(who, row.folder())) {
      throw Refusal.unknown();
    }
    return row;
  }

  private boolean sees(Member who, @Nullable String folder) {
    return folder == null || !folders.names(who, List.of(folder)).isEmpty();
  }

  /** It is written soon; the same again under the same name takes the place of what was ours. */
  public OnDrive put(Member who, UUID command, PutWanted wanted) {
    drives.requireOne(who);
    requireKeepable(wanted.kept(), wanted.file());
    DriveContents.Described described = contents.describe(who, wanted.file());
    String name = wanted.name().isBlank() ? described.name() : wanted.name();
    DrivePath in = Drives.path(wanted.in());
    DrivePath path = Drives.path(in.text() + "/" + name.replace('/', ' '));
    return commands.run(who, command, PUT, () -> put(who, wanted, described.title(), path));
  }

  private static void requireKeepable(boolean kept, DriveWanted file) {
    if (kept && !file.changes()) {
      throw Refusal.unusable(
          "kept", "A text does not change; there is nothing to keep up to date.");
    }
  }

  private CommandResult<OnDrive, CommandKind.Nothing> put(
      Member who, PutWanted wanted, String title, DrivePath path) {
    DriveFileMapper.NewFile file =
        new DriveFileMapper.NewFile(
            ids.next(),
            who.group(),
            who.id(),
            path.text(),
            title,
            wanted.file().folder(),
            json.write(wanted.file()),
            wanted.kept(),
            calendar.now());
    DriveFileMapper.Row there = mapper.at(who.group(), path.text());
    if (there == null) {
      mapper.add(file);
      return done(who, new OnDrive(file.pid(), path.text()), file.folder());
    }
    if (!isOfSame(wanted(there), wanted.file())) {
      throw Refusal.conflict(
          "name-used", "“%s” stands there already; take another name.".formatted(there.path()));
    }
    mapper.putAgain(there.id(), file);
    return done(who, new OnDrive(there.pid(), there.path()), file.folder());
  }

  private static boolean isOfSame(DriveWanted one, DriveWanted other) {
    return one.what().equals(other.what())
        && Objects.equals(one.format(), other.format())
        && Objects.equals(one.folder(), other.folder())
        && Objects.equals(one.q(), other.q())
        && Objects.equals(one.round(), other.round())
        && Objects.equals(one.text(), other.text());
  }

  private CommandResult<OnDrive, CommandKind.Nothing> done(
      Member who, OnDrive file, @Nullable String folder) {
    return about(who, CommandKind.done(file), folder);
  }

  /** Whoever may not see the folder is not told. */
  private <B> CommandResult<OnDrive, B> about(
      Member who, CommandResult<OnDrive, B> result, @Nullable String folder) {
    CommandResult<OnDrive, B> changed =
        result.changing(List.of("drive file:" + result.answer().id()));
    return folder == null
        ? changed.toldTo(Audience.GROUP)
        : changed.about(Subject.Of.FOLDER, List.of(folder)).toldTo(folders.audience(who, folder));
  }

  /** Has it written now; {@code over}: also in the place of what is not ours. */
  OnDrive again(Member who, UUID command, String pid, boolean over) {
    row(who, pid);
    drives.requireOne(who);
    return commands.run(
        who,
        command,
        AGAIN,
        () -> {
          DriveFileMapper.Row row = row(who, pid);
          mapper.again(row.id(), over, calendar.now());
          return done(who, new OnDrive(row.pid(), row.path()), row.folder());
        });
  }

  /** Whether it is kept up to date from now on. */
  OnDrive keep(Member who, UUID command, String pid, boolean kept) {
    return commands.run(
        who,
        command,
        keep,
        () -> {
          DriveFileMapper.Row row = row(who, pid);
          requireKeepable(kept, wanted(row));
          mapper.keep(row.id(), kept, calendar.now());
          OnDrive file = new OnDrive(row.pid(), row.path());
          return about(
              who, CommandResult.of(file, new KeptBefore(row.pid(), row.kept())), row.folder());
        });
  }

  private String keptBack(Member who, UUID command, KeptBefore before) {
    mapper.keep(row(who, before.id()).id(), before.kept(), calendar.now());
    return "";
  }

  /** No longer looked after; it stays on the drive. */
  OnDrive leave(Member who, UUID command, String pid) {
    return commands.run(
        who,
        command,
        leave,
        () -> {
          DriveFileMapper.Row row = row(who, pid);
          mapper.end(row.id(), calendar.now());
          OnDrive file = new OnDrive(row.pid(), row.path());
          return about(who, CommandResult.of(file, new FileBefore(row.pid())), row.folder());
        });
  }

  private String backOnList(Member who, UUID command, FileBefore before) {
    DriveFileMapper.Row row = mapper.findEnded(who.group(), before.id());
    if (row == null || mapper.at(who.group(), row.path()) != null) {
      throw Refusal.conflict("name-used", "Another file stands under that name now.");
    }
    mapper.end(row.id(), null);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(PUT, AGAIN, keep, leave);
  }
}
