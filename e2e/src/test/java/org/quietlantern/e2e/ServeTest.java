package org.quietlantern.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;

/**
 * A group that likes it has it by the evening: from nothing to searching, a copy, and its return.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class ServeTest {
  private static final String EMAIL = "nora@attic.example";
  private static final String WORDS = "lantern-in-the-attic";
  private static final List<String> SEARCHED =
      Stream.of(
              "moth*", "bat*", "light", "dimm*", "verge*", "spider*", "bird*", "lamp*", "plant*",
              "insect*")
          .flatMap(
              word ->
                  Stream.of(
                          "%s",
                          "title: %s",
                          "%s year: 2010-",
                          "%s not review",
                          "abstract: %s",
                          "heading: %s",
                          "%s or night",
                          "%s kind: article",
                          "%s (effect or effects)",
                          "not %s")
                      .map(line -> line.formatted(word)))
          .toList();
  private static final Served SERVED = new Served();
  private static Process standIns;
  private static int outside;
  private static Chromium chromium;

  @BeforeAll
  static void open() {
    outside = Script.freePort();
    try {
      standIns =
          new ProcessBuilder(
                  "java",
                  "-Xmx192m",
                  "-XX:+UseSerialGC",
                  "-jar",
                  Script.only(Script.ROOT.resolve("stand-ins/target"), "stand-ins-*.jar")
                      .toString(),
                  Integer.toString(outside))
              .redirectErrorStream(true)
              .redirectOutput(ProcessBuilder.Redirect.DISCARD)
              .start();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    SERVED.start();
    chromium = new Chromium();
  }

  @AfterAll
  static void close() {
    chromium.close();
    SERVED.close();
    standIns.destroy();
  }

  @DisplayName("A link for the first steward, a group, a source by its address, the first search")
  @Test
  @Order(1)
  void fromNothing() {
    String link = SERVED.command("account", EMAIL);
    try (Page page = page(chromium.browser())) {
      page.navigate(link);
      assertThat(page.getByText(EMAIL)).isVisible();
      page.getByLabel("A password").fill(WORDS);
      page.keyboard().press("Enter");
      page.getByLabel("Name of the group").fill("Attic moths");
      page.getByLabel("Your name").fill("Nora Field");
      page.keyboard().press("Enter");
      button(page, "Add a source").click();
      page.getByLabel("Address of its").fill("http://127.0.0.1:" + outside + "/nowhere");
      page.keyboard().press("Enter");
      assertThat(page.getByRole(AriaRole.ALERT)).containsText("Nothing could be read there");
      page.getByLabel("Address of its").fill("http://127.0.0.1:" + outside + "/night-index/oai");
      page.keyboard().press("Enter");
      button(page, "Try its first records").click();
      assertThat(page.getByText("20 records")).isVisible();
      button(page, "Add it").click();
      assertThat(page.getByText(Pattern.compile("publications from \\d+ to 2026.*last harvest")))
          .isVisible(new LocatorAssertions.IsVisibleOptions().setTimeout(120_000));
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Search").setExact(true))
          .click();
      Locator line = page.getByLabel("Line 1", new Page.GetByLabelOptions().setExact(true));
      line.fill("moth* light");
      line.press("Enter");
      assertThat(page.getByLabel("Publications found").getByRole(AriaRole.LISTITEM).first())
          .isVisible();
    }
    try (Page page = page(chromium.browser())) {
      page.navigate(link);
      assertThat(page.getByText("This link was used already.")).isVisible();
      page.navigate(SERVED.address() + "/enter#nobody-was-given-this");
      assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
    }
  }

  private static Page page(Browser browser) {
    return browser.newContext().newPage();
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
  }

  @DisplayName("Killed with its script, it starts again; a second one beside it does not")
  @Test
  @Order(2)
  void killed() {
    SERVED.kill();
    SERVED.start();
    assertThatThrownBy(() -> SERVED.command("serve")).hasMessageContaining("it runs already");
  }

  @DisplayName("A copy made while it runs comes back elsewhere: every table, a hundred searches")
  @Test
  @Order(3)
  void aCopyComesBack() throws IOException {
    Path copies = SERVED.folder("copies");
    SERVED.command("backup", copies.toString(), "--keep", "1");
    Map<String, String> before = SERVED.tables();
    List<?> found = found(SERVED);
    assertThat(found).hasSize(100);
    Path copy;
    try (Stream<Path> made = Files.list(copies)) {
      copy = made.findFirst().orElseThrow();
    }
    try (Served other = new Served()) {
      other.command("restore", copy.toString());
      assertThatThrownBy(() -> other.command("restore", copy.toString()))
          .hasMessageContaining("restore elsewhere");
      other.start();
      Map<String, String> after = other.tables();
      // A server that starts notes what it checked and whom it asked.
      for (String own :
          List.of(
              "backup", "derived", "harvest", "harvest_try", "nightly_check", "scheduled_tasks")) {
        before.remove(own);
        after.remove(own);
      }
      assertThat(after).isEqualTo(before).hasSizeGreaterThan(30);
      assertThat(found(other)).isEqualTo(found);
    }
    assertThatThrownBy(() -> SERVED.command("restore", copy.toString()))
        .hasMessageContaining("an installation runs on");
    Files.writeString(copy.resolve("database"), "cut short");
    try (Served third = new Served()) {
      assertThatThrownBy(() -> third.command("restore", copy.toString()))
          .hasMessageContaining("is not as it was written");
    }
  }

  @DisplayName("Files are loaded and everything is checked by the script; a damaged file is told")
  @Test
  @Order(4)
  void loadedAndChecked() throws IOException {
    Path good = SERVED.folder("shelf.xml");
    String record =
        "<mods xmlns='http://www.loc.gov/mods/v3'><titleInfo><title>Lamp %d</title></titleInfo>"
            + "<recordInfo><recordIdentifier>lamp-%d</recordIdentifier></recordInfo></mods>";
    Files.writeString(
        good,
        IntStream.range(0, 700)
            .mapToObj(n -> record.formatted(n, n))
            .collect(Collectors.joining("", "<modsCollection>", "</modsCollection>")));
    Script.output("gzip", "-k", good.toString());
    assertThat(SERVED.command("load", good + ".gz", "--into", "The shelf"))
        .isEqualTo("shelf.xml.gz: 700 records, 700 publications changed, 0 records set aside");
    Path cut = SERVED.folder("cut.xml");
    Files.writeString(cut, Files.readString(good).substring(0, 2_000));
    assertThatThrownBy(() -> SERVED.command("load", cut.toString()))
        .hasMessageContaining("breaks off or is no XML at line 1");
    assertThatThrownBy(() -> SERVED.command("load", "nowhere.xml"))
        .hasMessageContaining("is no file that can be read");
    assertThat(SERVED.command("check")).isEqualTo("what alerts remember: as it should be");
    SERVED.query("update publication set hash = sha256(hash) where id = 1");
    assertThatThrownBy(() -> SERVED.command("check"))
        .hasMessageContaining("the index: 1 not as they should be");
    SERVED.command("check", "--mend");
    SERVED.command("check");
  }

  @DisplayName(
      "A database of version 0.1.0 is copied, then brought to this one; a newer one is refused")
  @Test
  @Order(5)
  void olderAndNewer() throws IOException {
    Path dump = SERVED.folder("0.1.0.sql");
    Path kept = Script.ROOT.resolve("server/src/test/resources/released/0.1.0.sql.gz");
    try (InputStream packed = new GZIPInputStream(Files.newInputStream(kept))) {
      Files.copy(packed, dump);
    }
    try (Served other = new Served("0")) {
      other.start();
      Path copies = other.folder("data/backups");
      Script.output("bash", "-c", "until ls %s/lantern-*; do sleep 0.5; done".formatted(copies));
      other.becomes(dump);
      Script.output("rm", "-r", copies.toString(), other.folder("data/secret.key").toString());
      other.start();
      assertThat(other.log()).contains("a newer version: the database is copied before it");
      assertThat(Script.output("ls", copies.toString())).startsWith("lantern-");
      assertThat(other.query("select count(*) from item")).isEqualTo("12");
      other.query(
          "insert into flyway_schema_history select 999, '999', 'later', 'SQL', 'V999__later.sql',"
              + " 1, 'app', now(), 1, true");
      other.stop();
      assertThatThrownBy(other::start)
          .hasMessageContaining("the database is of a newer version (step 999; this one knows");
    }
  }

  /** How many publications each of a hundred lines finds. */
  private static List<?> found(Served served) {
    try (Page page = page(chromium.browser())) {
      page.navigate(served.address());
      page.getByLabel("E-mail").fill(EMAIL);
      page.getByLabel("Password").fill(WORDS);
      page.keyboard().press("Enter");
      page.waitForURL(Pattern.compile(".*/g/.*"));
      return (List<?>)
          page.evaluate(
              "async lines => { const group = location.pathname.split('/')[2];"
                  + " const token = document.cookie.match(/XSRF-TOKEN=([^;]+)/)[1]; const found = [];"
                  + " for (const text of lines) { const answer = await"
                  + " fetch(`/api/groups/${group}/search/count`, {method: 'POST', headers:"
                  + " {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},"
                  + " body: JSON.stringify({text})}); found.push((await answer.json()).count); }"
                  + " return found; }",
              SEARCHED);
    }
  }
}
