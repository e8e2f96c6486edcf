package org.quietlantern.server.platform.settings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SettingsTest {
  private static Settings of(String... lines) throws Settings.Unusable {
    return Settings.of("lantern.conf", List.of(lines));
  }

  @Test
  void whatAFileDoesNotSayIsAsItIsByItself() throws Settings.Unusable {
    Settings settings = of("\uFEFF# a remark", "", "port = 9000", "  base-url=https://l.example  ");
    assertThat(settings.forScript(8L << 30))
        .containsEntry("port", "9000")
        .containsEntry("base-url", "https://l.example")
        .containsEntry("data", "/var/lib/quiet-lantern")
        .containsEntry("memory", "2048m");
    assertThat(settings.arguments())
        .contains("--server.port=9000", "--lantern.base-url=https://l.example")
        .noneMatch(argument -> argument.contains("datasource.url"));
    assertThat(Settings.defaults().forScript(1L << 30)).containsEntry("memory", "512m");
    assertThat(Settings.defaults().forScript(1L << 40)).containsEntry("memory", "8192m");
  }

  @DisplayName("What is wrong is told in a sentence with its line")
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '`',
      textBlock =
          """
          prot = 1            | there is no setting “prot”. Is port meant?
          colour = red        | there is no setting “colour”.
          port                | “port” is no setting: a name, = and a value.
          = 9                 | “= 9” is no setting: a name, = and a value.
          port = x            | port has to be a port: a number from 1 to 65535; “x” is not.
          port = 0            | port has to be a port: a number from 1 to 65535; “0” is not.
          port = 70000        | port has to be a port: a number from 1 to 65535; “70000” is not.
          port = 15432        | port and database-port are both 15432; two cannot listen at one.
          base-url = l.example | base-url has to be an address like https://lantern.example.org, without a path; “l.example” is not.
          base-url = https://l.example/x | base-url has to be an address like https://lantern.example.org, without a path; “https://l.example/x” is not.
          data = here         | data has to be a folder, from / on; “here” is not.
          memory = 2          | memory has to be “auto”, or at least 256m, like 700m or 2g; “2” is not.
          memory = 100m       | memory has to be “auto”, or at least 256m, like 700m or 2g; “100m” is not.
          search-time = 5     | search-time has to be a time like 20s or 2m; “5” is not.
          proxies = a, b      | proxies has to be IP addresses with commas; “a, b” is not.
          proxies = 300.1.1.1 | proxies has to be IP addresses with commas; “300.1.1.1” is not.
          database = there    | database has to be “own”, or HOST:PORT/NAME; “there” is not.
          database = h:5432/l | a database that is not its own needs database-password-file.
          secret-file = /no/such | secret-file has to be a file that can be read; “/no/such” is not.
          connections = 1     | connections has to be a number from 2 to 200; “1” is not.
          address = a b       | address has to be a host name or an address; “a b” is not.
          """)
  void wrong(String line, String sentence) {
    assertThatThrownBy(() -> of("# first", line))
        .isInstanceOf(Settings.Unusable.class)
        .hasMessage("lantern.conf, line 2: " + sentence);
  }

  @Test
  void everythingThatIsWrongIsToldAtOnce() {
    assertThatThrownBy(() -> of("port = x", "port = 1", "nothing", "data = /d"))
        .hasMessageContaining("line 1: port has to be")
        .hasMessageContaining("line 2: port was set in line 1 already.")
        .hasMessageContaining("line 3: “nothing” is no setting");
  }

  @Test
  void anotherDatabaseAndItsPassword(@TempDir Path folder) throws Exception {
    Path password = Files.writeString(folder.resolve("pw"), "s3cret \nignored\n");
    List<String> arguments =
        of(
                "database = db.example:5433/lantern",
                "database-user = reader",
                "database-password-file = " + password,
                "proxies = 127.0.0.1, ::1")
            .arguments();
    assertThat(arguments)
        .contains(
            "--spring.datasource.url=jdbc:postgresql://db.example:5433/lantern",
            "--spring.datasource.username=reader",
            "--spring.datasource.password=s3cret",
            "--server.tomcat.remoteip.internal-proxies=\\Q127.0.0.1\\E|\\Q::1\\E",
            "--server.forward-headers-strategy=native");
  }

  @Test
  void filesThatAreNone(@TempDir Path folder) throws IOException {
    Path latin = Files.write(folder.resolve("latin"), "# é".getBytes(StandardCharsets.ISO_8859_1));
    assertThatThrownBy(() -> Settings.read(latin)).hasMessageEndingWith("is no text in UTF-8.");
    Path long0 = Files.writeString(folder.resolve("long"), "#".repeat(200_000));
    assertThatThrownBy(() -> Settings.read(long0)).hasMessageContaining("too long");
    assertThatThrownBy(() -> Settings.read(folder.resolve("none")))
        .hasMessageContaining("cannot be read");
  }

  @DisplayName("The example says all defaults, can be read, and stands in docs/settings.md")
  @Test
  void example() throws Exception {
    List<String> lines = new ArrayList<>();
    for (String line : Settings.example()) {
      lines.add(line.matches("#[a-z-]+ =.*") ? line.substring(1) : line);
    }
    Settings read = Settings.of("example", lines);
    for (Setting setting : Setting.values()) {
      assertThat(read.get(setting)).as(setting.word()).isEqualTo(setting.fallback());
    }
    String documented = Files.readString(Path.of("../docs/settings.md"));
    assertThat(Arrays.stream(Setting.values()).map(Setting::word))
        .allSatisfy(word -> assertThat(documented).contains("\n#" + word + " ="));
    assertThat(documented).contains(String.join("\n", Settings.example()).strip());
  }
}
