package org.quietlantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/**
 * Walks the commands of docs/installing.md as they stand there, in a place of its own: /opt, /etc
 * and /var are folders below it, and what only a whole machine has (sudo, users, packages, systemd)
 * is stood in for by scripts that do as much of it as matters here.
 */
class InstallingTest {
  private static final Path PLACE =
      Path.of(Script.output("mktemp", "-d", "/tmp/lantern-e2e-XXXXXX").strip());
  private static final Pattern BLOCK = Pattern.compile("(?s)```sh\\n(.*?)```");
  private static final int PORT = Script.freePort();

  @BeforeAll
  static void machine() throws IOException {
    Script.output("chmod", "755", PLACE.toString());
    Files.createDirectories(PLACE.resolve("bin"));
    for (String folder : List.of("etc/systemd/system", "opt", "var/lib", "var/backups")) {
      Files.createDirectories(PLACE.resolve(folder));
    }
    program("sudo", "[ \"$1\" != -u ] || shift 2; exec \"$@\"");
    program("apt-get", "for p in \"${@:2}\"; do dpkg -s \"$p\" >/dev/null || exit 1; done");
    program("useradd", "mkdir -p \"$5\"");
    program("chown", "[ \"$1\" = lantern ] || exec /bin/chown \"$@\"");
    program(
        "systemctl",
        """
        place=%s
        case "$*" in
          'enable --now quiet-lantern' | 'start quiet-lantern')
            command=$(sed -n 's/^ExecStart=//p' "$place/etc/systemd/system/quiet-lantern.service")
            setsid $(sed "s: /: $place/:g; s:^/:$place/:" <<<"$command") >"$place/log" 2>&1 &
            echo $! >"$place/pid"
            for _ in $(seq 600); do
              curl -fso /dev/null http://localhost:%d/manage/health && exit 0
              kill -0 "$(cat "$place/pid")" || { cat "$place/log"; exit 1; }
              sleep 0.2
            done
            exit 1 ;;
          'stop quiet-lantern')
            kill -TERM "$(cat "$place/pid")"
            while kill -0 "$(cat "$place/pid")" 2>/dev/null; do sleep 0.2; done ;;
          *) exit 1 ;;
        esac
        """
            .formatted(PLACE, PORT));
    Files.copy(Served.archive(), PLACE.resolve(Served.archive().getFileName()));
    Files.writeString(
        PLACE.resolve("records.xml"),
        "<mods xmlns='http://www.loc.gov/mods/v3'><titleInfo><title>Lamps</title></titleInfo></mods>");
  }

  private static void program(String name, String text) throws IOException {
    Path file = PLACE.resolve("bin").resolve(name);
    Files.writeString(file, "#!/bin/bash\n" + text + "\n");
    Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rwxr-xr-x"));
  }

  @AfterAll
  static void away() {
    Script.output(
        "bash", "-c", "kill -TERM $(cat %s/pid) 2>/dev/null; sleep 3; rm -rf %<s".formatted(PLACE));
  }

  /** As on the page, with the ports of this place, and in its folders. */
  private static String commands() throws IOException {
    StringBuilder all = new StringBuilder("set -euxo pipefail\n");
    Matcher block = BLOCK.matcher(Files.readString(Script.ROOT.resolve("docs/installing.md")));
    while (block.find()) {
      for (String line : block.group(1).split("\n")) {
        all.append(line.replaceAll("(?<=[\\s\"])/(opt|etc|var)/|^/(opt)/", PLACE + "/$1$2/"))
            .append("\n");
        if (line.contains(" | sudo tee ")) {
          all.append(
              """
              sed -i 's|^#port = .*|port = %d|; s|^#base-url = .*|base-url = http://localhost:%d|
              s|^#database-port = .*|database-port = %d|; s|^#data = /|data = %s/|' %s/etc/quiet-lantern/lantern.conf
              """
                  .formatted(PORT, PORT, Script.freePort(), PLACE, PLACE));
        }
      }
    }
    return all.toString();
  }

  @DisplayName(
      "Every command of the page, one after the other: from the archive to a copy that came back")
  @Test
  void everyCommand() throws IOException {
    String commands = commands();
    assertThat(commands).contains(Served.archive().getFileName().toString());
    ProcessBuilder walk = new ProcessBuilder("bash", "-c", commands).directory(PLACE.toFile());
    walk.environment().put("PATH", PLACE + "/bin:" + System.getenv("PATH"));
    String said = Script.output(walk);
    assertThat(said)
        .contains("http://localhost:" + PORT + "/enter#")
        .contains("records.xml: 1 records, 1 publications changed, 0 records set aside")
        .contains("and read back")
        .contains("restored into " + PLACE + "/var/lib/quiet-lantern")
        .contains("what alerts remember: as it should be");
    assertThat(
            Script.output(
                Script.psql(
                    PLACE.resolve("var/lib/quiet-lantern"),
                    "-c",
                    "select fields ->> 'title' from publication")))
        .isEqualTo("Lamps\n");
  }
}
