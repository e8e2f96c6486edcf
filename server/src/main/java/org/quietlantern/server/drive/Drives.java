package org.quietlantern.server.drive;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.drive.DriveAnswer;
import org.quietlantern.core.drive.DriveListing;
import org.quietlantern.core.drive.DrivePath;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Secrets;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** The drive of a group: where it is, and under which name it is spoken to. */
@Service
public class Drives implements CommandKinds {
  private static final String COORDINATORS = "A coordinator sets the group’s drive.";
  private static final int LONGEST = 1_000;

  /** Names of a folder that are shown. */
  private static final int SHOWN = 1_000;

  private static final CommandKind<DriveShown, CommandKind.Nothing> SET =
      CommandKind.forGood(
          "drive.set", DriveShown.class, "The password is not kept twice; set the drive anew.");
  private static final CommandKind<DriveShown, CommandKind.Nothing> FORGET =
      CommandKind.forGood(
          "drive.forget", DriveShown.class, "The password is forgotten; set the drive anew.");

  private final DriveMapper mapper;
  private final DriveFileMapper files;
  private final DriveTalk talk;
  private final Outbound outbound;
  private final Secrets secrets;
  private final Commands commands;
  private final PublicIds ids;
  private final Calendar calendar;

  /**
   * The drive as it may be seen.
   *
   * @param address of the group's folder there; all absent where no drive is set
   * @param name who the group is there
   * @param by who set it; absent also where that is nobody any more
   * @param tried when it last was found to do what it should
   */
  public record DriveShown(
      @Nullable String address,
      @Nullable String name,
      @Nullable String by,
      @Nullable Instant tried) {
    static final DriveShown NONE = new DriveShown(null, null, null, null);
  }

  /** {@code password} is never shown again. */
  public record SetWanted(String address, String name, String password) {
    /** Without what nobody may see. */
    @Override
    public String toString() {
      return address;
    }
  }

  /**
   * A folder of the drive.
   *
   * @param at below the group's folder, with slashes between names; empty: that itself
   * @param more how many names of it are not shown
   */
  record DriveFolder(String at, List<String> folders, List<String> files, int more) {}

  private record Tried(SetWanted wanted, byte[] sealed) {}

  Drives(
      DriveMapper mapper,
      DriveFileMapper files,
      DriveTalk talk,
      Outbound outbound,
      Secrets secrets,
      Commands commands,
      PublicIds ids,
      Calendar calendar) {
    this.mapper = mapper;
    this.files = files;
    this.talk = talk;
    this.outbound = outbound;
    this.secrets = secrets;
    this.commands = commands;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Guests have nothing to do with it. */
  static void requireMember(Member who) {
    if (!who.mayWrite()) {
      throw new Refusal(HttpStatus.FORBIDDEN, "guest", "The drive is for members of the group.");
    }
  }

  public DriveShown of(Member who) {
    requireMember(who);
    return shown(mapper.find(who.group()));
  }

  private static DriveShown shown(@Nullable DriveMapper.Row row) {
    return row == null
        ? DriveShown.NONE
        : new DriveShown(row.address(), row.name(), row.by(), row.tried());
  }

  /** Refused where there is none, so that nobody waits for what cannot come. */
  void requireOne(Member who) {
    requireMember(who);
    if (mapper.find(who.group()) == null) {
      throw Refusal.conflict("no-drive", "The group has no drive yet; a coordinator sets it.");
    }
  }

  /**
   * The drive of a group with its password.
   *
   * @throws DriveTrouble where there is none, or its password cannot be opened
   */
  DriveTalk.Place place(int group) throws DriveTrouble {
    DriveMapper.Row row = mapper.find(group);
    if (row == null) {
      throw DriveTrouble.lasting("The group has no drive any more.");
    }
    try {
      byte[] password = secrets.open(secret(group), row.password());
      return new DriveTalk.Place(
          URI.create(row.address()), row.name(), new String(password, StandardCharsets.UTF_8));
    } catch (IllegalStateException otherKey) {
      throw DriveTrouble.lasting(
          "The drive’s password was sealed under another key; set the drive anew.");
    }
  }

  private static String secret(int group) {
    return "drive of group " + group;
  }

  /** Tries it and keeps it; what is to be written there is tried anew. */
  public DriveShown set(Member who, UUID command, SetWanted wanted) {
    who.requireCoordinator(COORDINATORS);
    return commands.run(
        who,
        command,
        SET,
        () -> tried(who, wanted),
        tried -> {
          DriveMapper.Row before = mapper.find(who.group());
          Instant now = calendar.now();
          mapper.set(
              new DriveMapper.NewDrive(
                  who.group(),
                  tried.wanted().address(),
                  tried.wanted().name(),
                  tried.sealed(),
                  who.id(),
                  now));
          if (before != null && !before.address().equals(tried.wanted().address())) {
            files.forgetSent(who.group());
          }
          files.allAgain(who.group(), now);
          DriveShown set =
              new DriveShown(tried.wanted().address(), tried.wanted().name(), who.name(), now);
          return CommandKind.done(set).changing(List.of("drive"));
        });
  }

  private Tried tried(Member who, SetWanted typed) {
    URI address = address(typed.address());
    String name = typed.name().strip();
    boolean fits =
        !name.isEmpty()
            && name.length() <= LONGEST
            && typed.password().length() <= LONGEST
            && !name.contains(":")
            && (name + typed.password()).chars().noneMatch(Character::isISOControl);
    if (!fits) {
      throw Refusal.unusable("name", "A name at the drive has letters, and no colon.");
    }
    DriveTalk.Place place = new DriveTalk.Place(address, name, typed.password());
    try {
      tryOut(place);
    } catch (IOException failed) {
      throw refused(failed);
    }
    byte[] password = typed.password().getBytes(StandardCharsets.UTF_8);
    return new Tried(
        new SetWanted(address.toString(), name, ""), secrets.seal(secret(who.group()), password));
  }

  /** Lists it, writes a small file, and takes that away again. */
  private void tryOut(DriveTalk.Place place) throws IOException {
    if (!talk.list(place, new DrivePath(List.of())).isFolder()) {
      throw DriveTrouble.lasting("That address is no folder of the drive.");
    }
    DrivePath path = DrivePath.read("quiet-lantern-tries-" + ids.next() + ".txt");
    Path file = Files.createTempFile("lantern-drive", ".txt");
    try {
      Files.writeString(file, "Quiet Lantern tries whether it may write here.\n");
      talk.put(place, path, file, "text/plain", Optional.empty());
      talk.remove(place, path);
    } catch (DriveTrouble trouble) {
      throw trouble.is(DriveAnswer.NOTHING_THERE)
          ? DriveTrouble.lasting("The drive lets nothing be written at that address.")
          : trouble;
    } finally {
      Files.delete(file);
    }
  }

  /** Over TLS, or to a host that the installation allows by name. */
  private URI address(String typed) {
    try {
      URI address = new URI(typed.strip().replaceFirst("/*$", "") + "/");
      boolean isOne =
          typed.length() <= LONGEST
              && Outbound.isWeb(address.toString())
              && address.getHost() != null
              && address.getRawUserInfo() == null
              && address.getRawQuery() == null
              && address.getRawFragment() == null;
      if (isOne) {
        if (address.getScheme().equals("https") || outbound.isAllowed(address.getHost())) {
          return address.normalize();
        }
        throw Refusal.unusable(
            "address", "A password goes over https alone: the address begins with https://.");
      }
    } catch (URISyntaxException none) {
      // Told below, as everything that is no address.
    }
    throw Refusal.unusable(
        "address",
        "This is no address of a folder: https:// and what follows, without a name or a question mark in it.");
  }

  /** Forgets it with its password. What stands there stays; nothing is kept up to date any more. */
  DriveShown forget(Member who, UUID command) {
    who.requireCoordinator(COORDINATORS);
    return commands.run(
        who,
        command,
        FORGET,
        () -> {
          mapper.forget(who.group());
          files.endAll(who.group(), calendar.now());
          return CommandKind.done(DriveShown.NONE).changing(List.of("drive"));
        });
  }

  /** What stands in a folder of the drive now, with the folders that files on their way make. */
  DriveFolder folder(Member who, String at) {
    requireOne(who);
    DrivePath path = path(at);
    List<DrivePath> toCome =
        files.toCome(who.group(), path.inside()).stream().map(DrivePath::read).toList();
    try {
      DriveListing listing = listing(place(who.group()), path, toCome);
      int most = Math.min(SHOWN, listing.folders().size());
      int rest = Math.min(SHOWN - most, listing.files().size());
      return new DriveFolder(
          path.text(),
          listing.folders().subList(0, most),
          listing.files().subList(0, rest),
          listing.folders().size() - most + listing.files().size() - rest);
    } catch (IOException failed) {
      throw refused(failed);
    }
  }

  private DriveListing listing(DriveTalk.Place place, DrivePath path, List<DrivePath> toCome)
      throws IOException {
    int depth = path.names().size();
    List<String> folders =
        toCome.stream()
            .map(DrivePath::names)
            .filter(names -> names.size() > depth + 1)
            .map(names -> names.get(depth))
            .toList();
    try {
      return talk.list(place, path).withFolders(folders);
    } catch (DriveTrouble trouble) {
      // It is made when the first of them is written.
      if (!toCome.isEmpty() && trouble.is(DriveAnswer.NOTHING_THERE)) {
        return new DriveListing(true, List.of(), List.of()).withFolders(folders);
      }
      throw trouble;
    }
  }

  /** What somebody who waits for the drive is told. */
  private static RuntimeException refused(IOException failed) {
    if (failed instanceof DriveTrouble) {
      return Refusal.unusable("drive", failed.getMessage());
    }
    return failed instanceof Outbound.Closing
        ? Refusal.busy("The server is stopping; try again in a moment.")
        : new UncheckedIOException(failed);
  }

  static DrivePath path(String typed) {
    try {
      return DrivePath.read(typed);
    } catch (IllegalArgumentException none) {
      throw Refusal.unusable("path", none.getMessage());
    }
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(SET, FORGET);
  }
}
