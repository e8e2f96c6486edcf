package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.HttpURLConnection;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Shots;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.World;
import tools.jackson.databind.json.JsonMapper;

/**
 * Whatever is sent, the answer says what is wrong with it and is never a failure of the server. In
 * short here; whole with {@code ./lantern test fuzz}.
 */
class FuzzTest {
  private static final long SEED = 20_261_127;
  private static final int IN_SHORT = 2_500;
  @RegisterExtension private static final TestApp APP = TestApp.own();

  @DisplayName("Every operation, every place, every odd value: no failure of the server")
  @Test
  void everywhere() throws IOException {
    World world = World.in(APP);
    List<Shots.Shot> shots =
        new Shots(new JsonMapper().readTree(Files.readString(Path.of("../openapi.json"))), world)
            .all();
    assertThat(shots).hasSizeGreaterThan(IN_SHORT);
    if (!Boolean.getBoolean("fuzz.whole")) {
      // In the order that they have, so that what ends something comes last.
      List<Integer> some = new ArrayList<>();
      for (int i = 0; i < shots.size(); i++) {
        some.add(i);
      }
      Collections.shuffle(some, new Random(SEED));
      List<Shots.Shot> all = shots;
      shots = some.subList(0, IN_SHORT).stream().sorted().map(all::get).toList();
    }
    Map<Integer, Integer> statuses = new TreeMap<>();
    List<String> failed = new ArrayList<>();
    Client member = world.member();
    for (Shots.Shot shot : shots) {
      Client.Response answer =
          shot.body() == null
              ? member.get(shot.path())
              : member.writeText(shot.method(), shot.path(), shot.body(), UUID.randomUUID());
      statuses.merge(answer.status(), 1, Integer::sum);
      if (answer.status() >= 500) {
        failed.add(shot.toString());
      }
    }
    assertThat(failed).as("of %d shots; answers %s", shots.size(), statuses).isEmpty();
    assertThat(statuses.keySet()).as("it also reaches what it aims at").contains(200, 404, 422);
  }

  @DisplayName("Addresses that are none: refused, not failed")
  @ParameterizedTest
  @ValueSource(
      strings = {
        "/api/groups/%zz/folders",
        "/api/groups/%/folders",
        "/api/me?x=%zz",
        "/p/%zz",
        "/p/%00",
        "/p/..%2f..%2fetc",
        "/feed/%zz/%zz.atom",
        "/feed/a/b.atom?before=x",
        "/letters/%zz/all/%zz",
        "/letters/a/b/c",
        "/feed/a/b.atom?before=99999999999",
        "/%2e%2e/%2e%2e",
        "/api//groups",
        "/api/groups;a=b/x",
        "/error",
        "/api-docs",
      })
  void addresses(String address) throws IOException {
    HttpURLConnection raw = (HttpURLConnection) new URL(APP.address() + address).openConnection();
    assertThat(raw.getResponseCode()).isBetween(400, 499);
    raw.disconnect();
  }

  @DisplayName("HEAD is answered as GET is, to guests too")
  @Test
  void head() {
    World world = World.in(APP);
    Client guest = world.guest();
    assertThat(guest.head("/api/groups/" + world.group() + "/folders").status()).isEqualTo(200);
    assertThat(guest.head("/p/zzzzzzzzzz").status()).isEqualTo(404);
  }
}
