package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.quietlantern.server.support.Supply.doi;
import static org.quietlantern.server.support.Supply.mods;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Supply;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.util.FileSystemUtils;

/** What the machine does that it should not: the database goes away, the index is deleted. */
class FaultsTest {
  private static final String SECRET = "--lantern.secret=of both servers";
  @RegisterExtension private static final TestApp APP = new TestApp(SECRET);

  @DisplayName("Database away: every request is told so in under two seconds, and it comes back")
  @Test
  void databaseAway() throws InterruptedException {
    TestGroup group = APP.group("Dora Database");
    Client dora = group.client(0);
    APP.workOff();
    String publication = group.find("moth").get(0);
    APP.letDatabase(false);
    try {
      for (String path : List.of("/folders", "/rounds", "/folders")) {
        long start = System.nanoTime();
        Client.Response answer = dora.get(path);
        assertThat(answer.status()).as(answer.body()).isEqualTo(503);
        assertThat(answer.type()).isEqualTo("away");
        assertThat(answer.header("Retry-After")).isEqualTo("5");
        assertThat(Duration.ofNanos(System.nanoTime() - start)).isLessThan(Duration.ofSeconds(3));
      }
      assertThat(dora.post("/folders", Map.of("name", "Lost?")).status()).isEqualTo(503);
      assertThat(new Client(APP.address()).get("/p/" + publication).status()).isEqualTo(503);
    } finally {
      APP.letDatabase(true);
    }
    int good = 0;
    for (int tries = 0; good < 5; tries++) {
      assertThat(tries).as("back by itself").isLessThan(50);
      good = dora.get("/folders").status() == 200 ? good + 1 : 0;
      Thread.sleep(600);
    }
    assertThat(dora.get("/folders").body()).doesNotContain("Lost?");
    dora.post("/folders", Map.of("name", "Kept")).ok();
  }

  @DisplayName(
      "The index deleted while it is used: searching goes on, and it is made anew by itself")
  @Test
  void indexDeleted() {
    APP.workOff();
    TestGroup group = APP.group("Ines Index");
    String folder = group.folder("Watched");
    String alert = group.alert(folder, "Axolotls", "axolotl*", "daily");
    List<String> before = group.find("moth");
    assertThat(before).isNotEmpty();
    FileSystemUtils.deleteRecursively(APP.data().resolve("index").toFile());
    assertThat(group.find("moth")).isEqualTo(before);
    new Supply(APP, "night-index")
        .take(mods("faults:1", "Axolotls under lamps", "Eft", doi("10.5555/axo.1")));
    assertThat(group.find("axolotl*")).hasSize(1);
    assertThat(group.find("moth")).isEqualTo(before);
    assertThat(APP.data().resolve("index")).isNotEmptyDirectory();
    APP.bean(Watching.class).run();
    assertThat(group.client(0).get("/alerts/" + alert).ok().get("alert").get("findings").asInt())
        .isEqualTo(1);
  }

  @DisplayName(
      "No room for the index: what there is is searched, of its own moment, until there is")
  @Test
  void noRoom() throws IOException {
    APP.workOff();
    TestGroup group = APP.group("Nora Noroom");
    String alert = group.alert(group.folder("Watched"), "Quaggas", "quagga*", "daily");
    List<String> before = group.find("moth");
    // Nobody can make a folder below a file, the superuser neither.
    Path away = APP.data().resolveSibling(APP.data().getFileName() + "-away");
    Files.move(APP.data(), away);
    FileSystemUtils.deleteRecursively(away.resolve("index").toFile());
    Files.writeString(APP.data(), "in the way");
    new Supply(APP, "night-index", false)
        .take(mods("faults:2", "Quaggas under lamps", "Field", doi("10.5555/quagga.1")));
    IndexKeeper keeper = APP.bean(IndexKeeper.class);
    assertThatThrownBy(keeper::catchUp).isInstanceOf(RuntimeException.class);
    assertThat(group.find("moth")).as("as it was").isEqualTo(before);
    assertThatThrownBy(keeper::catchUp).as("still no room").isInstanceOf(RuntimeException.class);
    APP.bean(Watching.class).run();
    Files.delete(APP.data());
    Files.move(away, APP.data());
    keeper.catchUp();
    assertThat(keeper.lag()).isZero();
    assertThat(group.find("quagga*")).hasSize(1);
    APP.bean(Watching.class).run();
    assertThat(group.client(0).get("/alerts/" + alert).ok().get("alert").get("findings").asInt())
        .as("nothing was passed over")
        .isEqualTo(1);
  }

  @DisplayName(
      "Two servers of one installation: the same feeds, the same visits, each its own index")
  @Test
  void twoServers() {
    APP.workOff();
    TestGroup group = APP.group("Tove Two");
    String alert = group.alert(group.folder("Watched"), "All", TestGroup.EVERYTHING, "at-once");
    String address =
        group
            .client(0)
            .post("/feeds", Map.of("of", "alert:" + alert))
            .ok()
            .get("address")
            .asString()
            .replace("http://lantern.test", "");
    try (TestApp other = APP.beside(SECRET)) {
      assertThat(new Client(other.address()).get(address).status()).isEqualTo(200);
      assertThat(new Client(APP.address()).get(address).status()).isEqualTo(200);
      Client there = other.signedIn(group.member(0)).below("/api/groups/" + group.pid());
      UUID command = UUID.randomUUID();
      String made = there.post("/folders", Map.of("name", "Once"), command).ok().toString();
      assertThat(group.client(0).post("/folders", Map.of("name", "Once"), command).ok())
          .hasToString(made);
      assertThat(there.get("/folders").body().split("Once", -1)).hasSize(2);
    }
    assertThatThrownBy(() -> APP.beside("--lantern.secret=another"))
        .rootCause()
        .isInstanceOf(java.security.GeneralSecurityException.class);
  }
}
