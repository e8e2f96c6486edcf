package org.quietlantern.server.report;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.report.Document;
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
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reports kept in folders as they were on a day: dated notes. */
@Service
public class Notes implements CommandKinds {
  private final NoteMapper mapper;
  private final Reports reports;
  private final Folders folders;
  private final Groups groups;
  private final Commands commands;
  private final Json json;
  private final PublicIds ids;
  private final Calendar calendar;

  private final CommandKind<NoteView, Before> keep =
      new CommandKind<>("note.keep", NoteView.class, Before.class, this::takeBack);

  /** A note in its folder. */
  record NoteLine(String id, String title, String by, Instant at) {}

  /** A note; {@code of} names the report, which can be asked for again. */
  record NoteView(NoteLine note, Folders.FolderName folder, String of, List<BlockShown> blocks) {}

  record Before(String note) {}

  Notes(
      NoteMapper mapper,
      Reports reports,
      Folders folders,
      Groups groups,
      Commands commands,
      Json json,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.reports = reports;
    this.folders = folders;
    this.groups = groups;
    this.commands = commands;
    this.json = json;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Keeps a report as it is now. {@code of}: its name. */
  NoteView keep(Member who, UUID command, String folder, String of) {
    return commands.run(
        who, command, keep, () -> reports.of(who, of), document -> make(who, folder, document, of));
  }

  private CommandResult<NoteView, Before> make(
      Member who, String folder, Document document, String of) {
    String pid = ids.next();
    String blocks = json.write(BlockShown.of(document));
    mapper.add(
        new NoteMapper.NewNote(
            pid,
            folders.idToEdit(who, folder),
            document.title(),
            of,
            blocks,
            who.id(),
            calendar.now()));
    NoteView view = get(who, pid);
    return CommandResult.of(view, new Before(pid))
        .changing(Subject.Of.NOTE, pid)
        .about(Subject.Of.FOLDER, List.of(folder))
        .toldTo(folders.isPile(who, folder) ? Audience.ME : Audience.GROUP);
  }

  /** The newest first. */
  @Transactional(readOnly = true)
  List<NoteLine> inFolder(Member who, String folder) {
    Map<Integer, String> names = groups.names(who.group());
    return mapper.inFolder(folders.id(who, folder)).stream().map(row -> line(row, names)).toList();
  }

  @Transactional(readOnly = true)
  NoteView get(Member who, String pid) {
    NoteMapper.Row row =
        Optional.ofNullable(mapper.find(who.id(), pid)).orElseThrow(Refusal::unknown);
    return new NoteView(
        line(row, groups.names(who.group())),
        new Folders.FolderName(row.folderPid(), row.folderName()),
        row.of(),
        Arrays.asList(json.read(row.blocks(), BlockShown[].class)));
  }

  private static NoteLine line(NoteMapper.Row row, Map<Integer, String> names) {
    return new NoteLine(
        row.pid(), row.title(), names.getOrDefault(row.membership(), "a former member"), row.at());
  }

  /** Public id of the group that a note belongs to. */
  @Transactional(readOnly = true)
  public Optional<String> groupOf(String pid) {
    return Optional.ofNullable(mapper.groupOf(pid));
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(keep);
  }

  private String takeBack(Member who, UUID command, Before before) {
    mapper.remove(before.note());
    return "";
  }
}
