package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Endpoints;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.server.support.World;

/** Walks every endpoint that there is; a new one falls under this by itself. */
class StrangersTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final World WORLD = World.in(APP);
  private static final TestGroup OTHERS = APP.group("Olga Other");

  /** Open to anybody on purpose. */
  private static final Set<String> OPEN =
      Set.of(
          "POST /api/session",
          "POST /api/entry",
          "POST /api/entry/visit",
          "POST /api/entry/forgotten",
          "POST /api/entry/address",
          "POST /api/join",
          "POST /api/join/visit");

  @TestFactory
  Stream<DynamicTest> aStrangerIsAskedToSignIn() {
    Client stranger = new Client(APP.address());
    stranger.get("/api/me");
    return api()
        .filter(e -> !OPEN.contains(e.toString()))
        .map(
            e ->
                DynamicTest.dynamicTest(
                    e.toString(), () -> assertThat(ask(stranger, e).status()).isEqualTo(401)));
  }

  @TestFactory
  Stream<DynamicTest> aMemberOfAnotherGroupFindsNothing() {
    Client other = OTHERS.client(0).below("");
    return api()
        .filter(e -> e.path().contains("{group}"))
        .map(
            e ->
                DynamicTest.dynamicTest(
                    e.toString(),
                    () -> {
                      Client.Response answer = ask(other, e);
                      assertThat(answer.status()).as(answer.body()).isEqualTo(404);
                      assertThat(answer.type()).isEqualTo("unknown");
                    }));
  }

  @DisplayName("The ids of one group are nothing in the address of another")
  @TestFactory
  Stream<DynamicTest> idsOfOthersAreUnknown() {
    Client other = OTHERS.client(0).below("");
    return api()
        .filter(e -> e.path().contains("{group}"))
        .filter(e -> e.variables().stream().anyMatch(World.OWNED::contains))
        .map(
            e ->
                DynamicTest.dynamicTest(
                    e.toString(),
                    () -> {
                      String path = WORLD.fill(e.path().replace("{group}", OTHERS.pid()));
                      Client.Response answer =
                          other.write(e.method(), path, WORLD.body(e), UUID.randomUUID());
                      if (e.method().equals("GET")) {
                        answer = other.get(path);
                      }
                      assertThat(answer.status()).as(answer.body()).isEqualTo(404);
                    }));
  }

  /** For those who may change the folder, of whom no guest is one. */
  private static final Set<String> FOR_SOME =
      Set.of(
          "GET /api/groups/{group}/questions/{question}",
          "GET /api/groups/{group}/brought/{brought}",
          "GET /api/groups/{group}/brought/{brought}/entries",
          "GET /api/groups/{group}/brought/{brought}/problems",
          "GET /api/groups/{group}/drive",
          "GET /api/groups/{group}/drive/files",
          "GET /api/groups/{group}/drive/folder",
          "GET /api/groups/{group}/folders/{folder}/link",
          "GET /api/groups/{group}/folders/{folder}/invitations");

  @DisplayName("R1: a guest reads and writes nothing")
  @TestFactory
  Stream<DynamicTest> guestsWriteNothing() {
    Client guest = WORLD.guest();
    Set<String> reads =
        Set.of(
            "search",
            "rows",
            "citations",
            "steps",
            "breakdown",
            "sources",
            "line",
            "count",
            "mail",
            "ways-out",
            "passage",
            "cql",
            "read",
            "leaf",
            "opened",
            "wanted",
            "change",
            "glance",
            "runs",
            "visit",
            "export",
            "preview",
            "table",
            "looked-at",
            "reference-list");
    return api()
        .filter(e -> e.path().contains("{group}"))
        .filter(e -> !FOR_SOME.contains(e.toString()))
        .filter(e -> !e.path().endsWith("/undo"))
        .filter(e -> !(!e.method().equals("GET") && reads.contains(last(e.path()))))
        .map(
            e ->
                DynamicTest.dynamicTest(
                    e.toString(),
                    () -> {
                      int status = ask(guest, e).status();
                      assertThat(status).isEqualTo(e.method().equals("GET") ? 200 : 403);
                    }));
  }

  private static String last(String path) {
    return path.substring(path.lastIndexOf('/') + 1);
  }

  private static Stream<Endpoints.Endpoint> api() {
    List<Endpoints.Endpoint> all = Endpoints.of(APP);
    assertThat(all).hasSizeGreaterThan(20);
    return all.stream().filter(e -> e.path().startsWith("/api/"));
  }

  private static Client.Response ask(Client client, Endpoints.Endpoint endpoint) {
    String path = WORLD.fill(endpoint.path());
    return endpoint.method().equals("GET")
        ? client.get(path + WORLD.query(endpoint))
        : client.write(endpoint.method(), path, WORLD.body(endpoint), UUID.randomUUID());
  }

  @Test
  void withoutTheTokenNothingIsWritten() {
    Client member = WORLD.member();
    member.get("/api/me");
    Client.Response answer =
        member
            .withoutToken()
            .write(
                "POST",
                "/api/groups/" + WORLD.group() + "/folders",
                Map.of("name", "x"),
                UUID.randomUUID());
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.type()).isEqualTo("stale-page");
  }
}
