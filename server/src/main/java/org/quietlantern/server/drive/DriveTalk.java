package org.quietlantern.server.drive;

import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.URI;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.time.Duration;
import java.util.Base64;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.core.drive.DriveAnswer;
import org.quietlantern.core.drive.DriveListing;
import org.quietlantern.core.drive.DrivePath;
import org.quietlantern.core.drive.EntityTag;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.springframework.stereotype.Component;

/**
 * Speaks WebDAV (RFC 4918) with a drive, under a name with a password (RFC 7617). Everything that
 * goes wrong is a {@link DriveTrouble}; where a drive leads is never followed.
 */
@Component
class DriveTalk {
  /** For whoever waits in front of a screen. */
  private static final Duration SOON = Duration.ofSeconds(20);

  private static final int LONGEST_LISTING = 4_000_000;
  private static final String LIST =
      "<?xml version=\"1.0\" encoding=\"utf-8\"?>"
          + "<propfind xmlns=\"DAV:\"><prop><resourcetype/></prop></propfind>";
  private final Outbound outbound;

  /**
   * A folder of a drive, and who one is there.
   *
   * @param folder its address, with a slash at its end
   */
  record Place(URI folder, String name, String password) {
    URI at(DrivePath path, boolean isFolder) {
      String rest = path.encoded();
      return URI.create(folder + rest + (isFolder && !rest.isEmpty() ? "/" : ""));
    }

    String credentials() {
      byte[] both = (name + ":" + password).getBytes(StandardCharsets.UTF_8);
      return "Basic " + Base64.getEncoder().encodeToString(both);
    }

    /** Without what nobody may see. */
    @Override
    public String toString() {
      return folder.toString();
    }
  }

  private record Reply(DriveAnswer answer, EntityTag tag) {}

  DriveTalk(Outbound outbound) {
    this.outbound = outbound;
  }

  /** What stands in a folder. */
  DriveListing list(Place place, DrivePath path) throws IOException {
    URI address = place.at(path, true);
    return told(
        ask(place, "PROPFIND", address, Map.of("Depth", "1"), LIST, null),
        SOON,
        told -> {
          if (told.code() != 207) {
            DriveAnswer answer = DriveAnswer.of(told.code());
            throw DriveTrouble.of(answer == DriveAnswer.DONE ? DriveAnswer.NO_DRIVE : answer);
          }
          byte[] body = told.body().readNBytes(LONGEST_LISTING + 1);
          if (body.length > LONGEST_LISTING) {
            throw DriveTrouble.lasting("That folder of the drive holds too much to be listed.");
          }
          return listing(address, new String(body, StandardCharsets.UTF_8));
        });
  }

  private static DriveListing listing(URI address, String body) throws DriveTrouble {
    try {
      return DriveListing.read(address.getRawPath(), body);
    } catch (IOException unreadable) {
      throw DriveTrouble.lasting(unreadable.getMessage());
    }
  }

  /** Whether a file stands there, and under which tag. */
  Optional<EntityTag> look(Place place, DrivePath path) throws IOException {
    Reply reply = reply(ask(place, "HEAD", place.at(path, false), Map.of(), null, null), null);
    return switch (reply.answer()) {
      case DONE -> Optional.of(reply.tag());
      case NOTHING_THERE -> Optional.empty();
      default -> throw DriveTrouble.of(reply.answer());
    };
  }

  /** Digest of a file that stands there; of one with more than {@code most} bytes none. */
  Optional<byte[]> digest(Place place, DrivePath path, long most) throws IOException {
    try {
      return told(
          ask(place, "GET", place.at(path, false), Map.of(), null, null),
          null,
          told -> {
            DriveAnswer answer = DriveAnswer.of(told.code());
            if (answer != DriveAnswer.DONE) {
              throw DriveTrouble.of(answer);
            }
            return Optional.of(digest(told.body(), most));
          });
    } catch (Longer other) {
      return Optional.empty();
    }
  }

  private static byte[] digest(InputStream body, long most) throws IOException {
    MessageDigest digest = Hash.begun();
    byte[] piece = new byte[8192];
    long length = 0;
    for (int read = body.read(piece); read >= 0; read = body.read(piece)) {
      length += read;
      if (length > most) {
        throw new Longer();
      }
      digest.update(piece, 0, read);
    }
    return digest.digest();
  }

  /** Ends reading: what follows would be read to its end otherwise. */
  private static final class Longer extends IOException {
    private static final long serialVersionUID = 1;
  }

  /**
   * Sends a file, with the folders that it needs.
   *
   * @param over the tag of what it stands in the place of; absent where nothing stands there
   */
  EntityTag put(Place place, DrivePath path, Path file, String type, Optional<EntityTag> over)
      throws IOException {
    DriveAnswer answer = send(place, path, file, type, over);
    if (answer == DriveAnswer.NOTHING_THERE && path.names().size() > 1) {
      makeFolders(place, path.first(path.names().size() - 1));
      answer = send(place, path, file, type, over);
    }
    if (answer != DriveAnswer.DONE) {
      throw DriveTrouble.of(answer);
    }
    return look(place, path).orElse(EntityTag.NONE);
  }

  private DriveAnswer send(
      Place place, DrivePath path, Path file, String type, Optional<EntityTag> over)
      throws IOException {
    Map<String, String> fields = new HashMap<>(Map.of("Content-Type", type));
    if (over.isEmpty()) {
      fields.put("If-None-Match", "*");
    } else if (over.get().isStrong()) {
      fields.put("If-Match", over.get().text());
    }
    return reply(ask(place, "PUT", place.at(path, false), fields, null, file), null).answer();
  }

  /** Makes a folder and those around it, where they are not there yet. */
  void makeFolders(Place place, DrivePath path) throws IOException {
    for (int depth = 1; depth <= path.names().size(); depth++) {
      URI address = place.at(path.first(depth), true);
      DriveAnswer answer = reply(ask(place, "MKCOL", address, Map.of(), null, null), SOON).answer();
      // 405: it is there already (RFC 4918, 9.3.1).
      if (answer != DriveAnswer.DONE && answer != DriveAnswer.NO_DRIVE) {
        throw DriveTrouble.of(answer);
      }
    }
  }

  /** Takes a file away. */
  void remove(Place place, DrivePath path) throws IOException {
    DriveAnswer answer =
        reply(ask(place, "DELETE", place.at(path, false), Map.of(), null, null), SOON).answer();
    if (answer != DriveAnswer.DONE && answer != DriveAnswer.NOTHING_THERE) {
      throw DriveTrouble.of(answer);
    }
  }

  private static Outbound.Ask ask(
      Place place,
      String method,
      URI address,
      Map<String, String> fields,
      @Nullable String text,
      @Nullable Path file) {
    Map<String, String> all = new HashMap<>(fields);
    all.put("Authorization", place.credentials());
    return new Outbound.Ask(method, address, all, text, file);
  }

  private Reply reply(Outbound.Ask ask, @Nullable Duration most) throws IOException {
    return told(
        ask,
        most,
        told ->
            new Reply(
                DriveAnswer.of(told.code()),
                new EntityTag(told.fields().getOrDefault("etag", ""))));
  }

  private <T> T told(Outbound.Ask ask, @Nullable Duration most, Outbound.Telling<T> telling)
      throws IOException {
    try {
      return outbound.ask(ask, most, telling);
    } catch (DriveTrouble | Longer | Outbound.Closing known) {
      throw known;
    } catch (UnknownHostException unknown) {
      String why = String.valueOf(unknown.getMessage());
      if (why.endsWith(Outbound.NOT_PUBLIC)) {
        throw DriveTrouble.lasting("The drive is not asked: " + why + ".");
      }
      throw DriveTrouble.notReached(
          "Nobody knows where " + ask.address().getHost() + " is.", unknown);
    } catch (ConnectException refused) {
      throw DriveTrouble.notReached("Nothing answers at the drive’s address.", refused);
    } catch (IOException failed) {
      String why = Text.atMost(200, String.valueOf(failed.getMessage()));
      throw DriveTrouble.notReached("The drive is not reached: " + why, failed);
    }
  }
}
