package org.quietlantern.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.CRC32C;

/**
 * What a demo has in its folder after its first start, with a past of two weeks. Making that takes
 * a minute and is the same for every class, so the first class makes it, by the command that a user
 * has, and all begin with a copy. It is made anew for every build.
 */
final class PreparedDemo {
  /**
   * Among others of the same machine: one of this checkout, where the database's user may enter.
   */
  private static final Path PLACE =
      Path.of("/tmp", "lantern-e2e-prepared-" + Integer.toHexString(Script.ROOT.hashCode()));

  private static final String PAST = "--lantern.demo.past-days=14";

  private PreparedDemo() {}

  /** Fills an empty folder. */
  static void copyTo(Path data) {
    Path made = made();
    Script.output("cp", "-a", "--reflink=auto", made + "/.", data.toString());
  }

  /** Classes run in two processes: one makes it, the other waits. */
  private static Path made() {
    try (FileChannel lock =
        FileChannel.open(
            Path.of(PLACE + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
      lock.lock();
      Path mark = PLACE.resolve("made");
      String build = build();
      if (!Files.exists(mark) || !Files.readString(mark).equals(build)) {
        make();
        Files.writeString(mark, build);
      }
      return PLACE;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static void make() throws IOException {
    Script.output("rm", "-rf", PLACE.toString());
    Script.output("mkdir", "-m", "755", PLACE.toString());
    Script.lantern(PAST, "demo", "--data", PLACE.toString());
    Script.lantern("", "stop", "--data", PLACE.toString());
  }

  /** What was built: names and sums of the jars that the script starts. */
  private static String build() throws IOException {
    try (Stream<Path> server = Files.walk(Script.ROOT.resolve("server/target/app"));
        Stream<Path> standIns = Files.list(Script.ROOT.resolve("stand-ins/target"))) {
      return Stream.concat(server, standIns)
          .filter(path -> path.toString().endsWith(".jar"))
          .map(path -> path + " " + sum(path))
          .sorted()
          .collect(Collectors.joining("\n"));
    }
  }

  /** Of what is in a file; its time says nothing, for what is packed has the same one always. */
  private static long sum(Path file) {
    try {
      CRC32C sum = new CRC32C();
      sum.update(Files.readAllBytes(file));
      return sum.getValue();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
