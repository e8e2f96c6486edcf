package org.quietlantern.server.loading;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.SystemTime;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;

/** Files that stewards bring in, and how far the reading of each is. */
@Service
public class Loads {
  private static final Logger LOG = LoggerFactory.getLogger(Loads.class);
  private static final String WHO = "A steward of the installation loads files.";
  private static final int LONGEST_NAME = 120;
  private static final int SHOWN = 20;
  private final LoadMapper mapper;
  private final Groups groups;
  private final SystemTime system;
  private final Path folder;

  /**
   * A file.
   *
   * @param state {@code waiting}, {@code running}, {@code done}, {@code broken} or {@code stopped}
   * @param bytes of the file, as it came
   * @param readBytes of them
   * @param records read
   * @param changed publications that they changed
   * @param setAside records that could not be taken
   * @param error why it is broken, or what keeps it from going on
   */
  public record LoadShown(
      int id,
      String name,
      String sourceName,
      String state,
      long bytes,
      long readBytes,
      int records,
      int changed,
      int setAside,
      @Nullable String error,
      Instant asked,
      @Nullable Instant started,
      @Nullable Instant ended) {}

  /** The newest first; {@code more}: whether older ones follow. */
  record LoadsShown(List<LoadShown> loads, boolean more) {}

  Loads(LoadMapper mapper, Groups groups, SystemTime system, LanternProperties properties) {
    this.mapper = mapper;
    this.groups = groups;
    this.system = system;
    this.folder = properties.data().resolve("loads");
  }

  /** Where files lie until they were read. */
  Path folder() {
    return folder;
  }

  /**
   * Keeps a file while it comes in; it is read at the next chance.
   *
   * @param into name of the source that it is loaded into; one that is not there is made
   */
  void receive(Member who, @Nullable String name, @Nullable String into, InputStream body)
      throws IOException {
    groups.requireSteward(who, WHO);
    String source = into == null ? "" : Text.clean(into);
    if (source.isEmpty() || source.length() > LONGEST_NAME) {
      throw Refusal.unusable("name", "A source has a name of at most 120 characters.");
    }
    String called = Text.atMost(200, Text.clean(name == null ? "" : name));
    String file = UUID.randomUUID().toString();
    long bytes = keep(body, folder.resolve(file));
    mapper.add(called.isEmpty() ? "a file" : called, file, source, bytes, system.now());
  }

  /** Nothing stays of one that did not come whole. */
  private long keep(InputStream body, Path file) throws IOException {
    try {
      Files.createDirectories(folder);
    } catch (IOException full) {
      throw noRoom(full);
    }
    return copy(body, file);
  }

  /** Answers how many bytes it has; what fails while it is sent is the sender's. */
  static long copy(InputStream body, Path file) throws IOException {
    Path part = file.resolveSibling(file.getFileName() + ".part");
    try {
      long bytes = 0;
      byte[] some = new byte[1 << 16];
      try (OutputStream out = Files.newOutputStream(part)) {
        for (int read = body.read(some); read >= 0; read = body.read(some)) {
          write(out, some, read);
          bytes += read;
        }
      } catch (NoRoom full) {
        throw noRoom(full);
      }
      Files.move(part, file);
      return bytes;
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static final class NoRoom extends IOException {
    private static final long serialVersionUID = 1;

    NoRoom(IOException why) {
      super(why.getMessage(), why);
    }
  }

  private static void write(OutputStream out, byte[] some, int length) throws NoRoom {
    try {
      out.write(some, 0, length);
    } catch (IOException full) {
      throw new NoRoom(full);
    }
  }

  private static Refusal noRoom(IOException why) {
    return new Refusal(
        HttpStatus.INSUFFICIENT_STORAGE,
        "no-room",
        "The file cannot be kept on the server: " + why.getMessage() + ".");
  }

  /** {@code before}: only those with smaller numbers. */
  LoadsShown newest(@Nullable Integer before) {
    int from = before == null ? Integer.MAX_VALUE : before;
    Page<LoadShown> page = Page.of(mapper.newest(from, SHOWN + 1), SHOWN);
    return new LoadsShown(page.rows(), page.more());
  }

  /** What was taken of it stays. */
  void stop(Member who, int load) {
    groups.requireSteward(who, WHO);
    if (mapper.end(load, "stopped", null, system.now()) == 0) {
      throw Refusal.conflict("ended", "It has come to its end already.");
    }
    try {
      Files.deleteIfExists(folder.resolve(mapper.file(load)));
    } catch (IOException busy) {
      // Whoever reads it, deletes it.
      LOG.info("the file of load {} is swept later", load, busy);
    }
  }
}
