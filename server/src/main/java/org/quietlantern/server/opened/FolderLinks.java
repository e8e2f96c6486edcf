package org.quietlantern.server.opened;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The address by which anybody may read a folder: made and revoked by whoever may change it. */
@Service
public class FolderLinks implements CommandKinds {
  private final CommandKind<LinkOfFolder, Opened> open =
      CommandKind.of("folder.open", LinkOfFolder.class, Opened.class, this::close);
  private final CommandKind<LinkOfFolder, Revoked> revoke =
      CommandKind.of("folder.close", LinkOfFolder.class, Revoked.class, this::openAgain);
  private final CommandKind<LinkOfFolder, Annotated> annotate =
      CommandKind.of(
          "folder.link-annotated", LinkOfFolder.class, Annotated.class, this::annotateBack);
  private final FolderLinkMapper mapper;
  private final FolderLinkAddresses addresses;
  private final Folders folders;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * A folder's address, that of its feed, and that of its bibliography; all absent where it has
   * none.
   *
   * @param annotated whether the bibliography shows agreed annotations
   */
  public record LinkOfFolder(
      @Nullable String address,
      @Nullable String feed,
      @Nullable String bibliography,
      boolean annotated,
      @Nullable String by,
      @Nullable Instant at) {}

  /** Row numbers. */
  record Opened(int link) {}

  record Revoked(int folder, int link) {}

  record Annotated(int link, boolean was) {}

  FolderLinks(
      FolderLinkMapper mapper,
      FolderLinkAddresses addresses,
      Folders folders,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.addresses = addresses;
    this.folders = folders;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** For whoever may change the folder: an address lets others in. */
  @Transactional(readOnly = true)
  public LinkOfFolder of(Member who, String folder) {
    return shown(mapper.open(folders.idToEdit(who, folder)));
  }

  private LinkOfFolder shown(@Nullable FolderLinkMapper.Row row) {
    return row == null
        ? new LinkOfFolder(null, null, null, false, null, null)
        : new LinkOfFolder(
            addresses.page(row.pid()),
            addresses.feed(row.pid()),
            addresses.bibliography(row.pid()),
            row.annotated(),
            row.by() == null ? "a former member" : row.by(),
            row.at());
  }

  /** Opens a folder to whoever has its address; the one there is, or a new one. */
  public LinkOfFolder open(Member who, UUID command, String folder) {
    return commands.run(
        who,
        command,
        open,
        () -> {
          if (folders.isPile(who, folder)) {
            throw Refusal.unusable("pile", "Your pile is yours alone.");
          }
          int row = folders.idToEdit(who, folder);
          if (mapper.open(row) != null) {
            throw Refusal.conflict("open-already", "The folder has an address already.");
          }
          int link = mapper.add(ids.next(), row, who.id(), calendar.now());
          return done(folder, mapper.open(row), new Opened(link));
        });
  }

  /** Revokes the address; another one can be made. */
  public LinkOfFolder close(Member who, UUID command, String folder) {
    return commands.run(
        who,
        command,
        revoke,
        () -> {
          int row = folders.idToEdit(who, folder);
          FolderLinkMapper.Row link =
              Optional.ofNullable(mapper.open(row)).orElseThrow(Refusal::unknown);
          mapper.revoke(link.id(), calendar.now());
          return done(folder, null, new Revoked(row, link.id()));
        });
  }

  /** Shows agreed annotations in the bibliography behind the address, or does not. */
  public LinkOfFolder annotate(Member who, UUID command, String folder, boolean annotated) {
    return commands.run(
        who,
        command,
        annotate,
        () -> {
          int row = folders.idToEdit(who, folder);
          FolderLinkMapper.Row link =
              Optional.ofNullable(mapper.open(row)).orElseThrow(Refusal::unknown);
          mapper.annotate(link.id(), annotated);
          return done(folder, mapper.open(row), new Annotated(link.id(), link.annotated()));
        });
  }

  private String annotateBack(Annotated before) {
    mapper.annotate(before.link(), before.was());
    return "";
  }

  private <B> CommandResult<LinkOfFolder, B> done(
      String folder, @Nullable FolderLinkMapper.Row row, B before) {
    return CommandResult.of(shown(row), before)
        .changing(List.of("link:" + folder))
        .about(Subject.Of.FOLDER, List.of(folder));
  }

  private String close(Opened before) {
    mapper.revoke(before.link(), calendar.now());
    return "";
  }

  private String openAgain(Revoked before) {
    if (mapper.open(before.folder()) != null) {
      throw Refusal.conflict("open-already", "The folder has another address since.");
    }
    mapper.revoke(before.link(), null);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(open, revoke, annotate);
  }
}
