package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
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

/** R1, R4: every request as everybody, against the tables of docs/rights.md. */
class RightsTest {
  private static final String GROUP = "/api/groups/{group}";
  private static final Pattern REQUEST = Pattern.compile("`(\\S+) (\\S+)`");
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final World WORLD = World.in(APP);
  private static final ClosedFolder CLOSED = new ClosedFolder(APP);

  /** A row of a table; {@code answers}: by person. */
  private record Row(String what, List<String> requests, Map<String, String> answers) {
    /** Whether it names a request, or a star stands for it. */
    boolean names(Endpoints.Endpoint endpoint) {
      String path = endpoint.path().substring(GROUP.length());
      return requests.stream()
          .map(request -> request.split(" "))
          .anyMatch(
              request ->
                  List.of("*", endpoint.method()).contains(request[0])
                      && (path.isEmpty() ? "/" : path)
                          .matches(
                              Arrays.stream(request[1].split("\\*", -1))
                                  .map(Pattern::quote)
                                  .reduce((a, b) -> a + ".*" + b)
                                  .orElseThrow()));
    }
  }

  /** A request as somebody, and what the table says of it. */
  private record Case(Endpoints.Endpoint endpoint, String person, Row row) {
    String expected() {
      return row.answers().get(person);
    }

    /** What is refused comes first; then what is read; what ends somebody's being there last. */
    int turn() {
      if (!expected().equals("yes")) {
        return 0;
      }
      return endpoint.method().equals("GET")
          ? 1
          : endpoint.path().endsWith("/members/{member}") ? 4 : isEnd() ? 3 : 2;
    }

    private boolean isEnd() {
      return endpoint.method().equals("DELETE");
    }
  }

  private static List<Row> table(String heading) {
    String page;
    try {
      page = Files.readString(Path.of("..", "docs", "rights.md"));
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    List<String> lines =
        page.substring(page.indexOf("## " + heading))
            .lines()
            .dropWhile(line -> !line.startsWith("|"))
            .takeWhile(line -> line.startsWith("|"))
            .toList();
    List<String> people = cells(lines.get(0));
    return lines.stream().skip(2).map(line -> row(people, cells(line))).toList();
  }

  private static List<String> cells(String line) {
    return Arrays.stream(line.substring(1, line.lastIndexOf('|')).split("\\|"))
        .map(String::strip)
        .toList();
  }

  private static Row row(List<String> people, List<String> cells) {
    Map<String, String> answers = new HashMap<>();
    for (int at = 2; at < people.size(); at++) {
      answers.put(people.get(at), cells.get(at));
    }
    List<String> requests =
        REQUEST
            .matcher(cells.get(1))
            .results()
            .map(found -> found.group(1) + " " + found.group(2))
            .toList();
    return new Row(cells.get(0), requests, answers);
  }

  private static List<Case> cases(List<Row> rows, boolean ofFolders) {
    List<Case> cases = new ArrayList<>();
    Endpoints.of(APP).stream()
        .filter(e -> e.path().startsWith(GROUP))
        .filter(e -> e.path().contains("{folder}") == ofFolders)
        .forEach(
            endpoint -> {
              Row row = rows.stream().filter(r -> r.names(endpoint)).findFirst().orElseThrow();
              row.answers().keySet().forEach(who -> cases.add(new Case(endpoint, who, row)));
            });
    cases.sort(Comparator.comparingInt(Case::turn));
    return cases;
  }

  @DisplayName("Every request of a group as everybody")
  @TestFactory
  Stream<DynamicTest> inAGroup() {
    Client stranger = new Client(APP.address());
    stranger.get("/api/me");
    Client guestOfAFolder = WORLD.folderGuest();
    Map<String, Client> people =
        Map.of(
            "stranger",
            stranger,
            "member of another group",
            APP.group("Olga Other").client(0).below(""),
            "guest of a folder",
            guestOfAFolder,
            "guest",
            WORLD.guest(),
            "member",
            WORLD.member(1),
            "coordinator",
            WORLD.member(0),
            "steward",
            WORLD.steward());
    return cases(table("In a group"), false).stream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.endpoint() + " as " + one.person(),
                    () -> judge(one, ask(people.get(one.person()), one.endpoint()))));
  }

  private static Client.Response ask(Client client, Endpoints.Endpoint endpoint) {
    String path = WORLD.fill(endpoint.path());
    return endpoint.method().equals("GET")
        ? client.get(path + WORLD.query(endpoint))
        : client.write(endpoint.method(), path, WORLD.body(endpoint), UUID.randomUUID());
  }

  @DisplayName("Every request of a folder that is for some, as everybody; each at a new one")
  @TestFactory
  Stream<DynamicTest> inAFolderForSome() {
    return cases(table("In a folder that is for some"), true).stream()
        .map(
            one ->
                DynamicTest.dynamicTest(
                    one.endpoint() + " as " + one.person(),
                    () -> judge(one, CLOSED.ask(one.person(), one.endpoint()))));
  }

  private static void judge(Case one, Client.Response answer) {
    boolean reads = one.endpoint().method().equals("GET");
    String said = one.row().what() + ": " + answer.body();
    switch (one.expected()) {
      case "sign in" -> assertThat(answer.status()).as(said).isEqualTo(401);
      case "unknown" -> assertThat(answer.status()).as(said).isEqualTo(404);
      case "no" -> assertThat(answer.status()).as(said).isEqualTo(403);
      case "no or unknown" -> assertThat(answer.status()).as(said).isIn(403, 404);
      // What another of these cases did before may be in the way; not that it is somebody.
      case "yes" ->
          assertThat(reads ? List.of(401, 403, 404, 410) : List.of(401, 403))
              .as(said)
              .doesNotContain(answer.status());
      default -> throw new IllegalStateException("what is “" + one.expected() + "”?");
    }
  }

  @DisplayName("No row is without a request, none is hidden by those above it")
  @Test
  void everyRowCounts() {
    for (boolean ofFolders : new boolean[] {false, true}) {
      List<Row> rows = table(ofFolders ? "In a folder that is for some" : "In a group");
      assertThat(cases(rows, ofFolders).stream().map(Case::row).distinct())
          .containsExactlyInAnyOrderElementsOf(rows);
    }
  }

  /** A group with somebody of each sort, and folders as they are needed. */
  private static final class ClosedFolder {
    private static final String SAID = "Counts moths.";
    private final TestGroup group;
    private final Map<String, Integer> people = new HashMap<>();
    private final String spare;
    private final String moth;
    private final String of;

    ClosedFolder(TestApp app) {
      group =
          app.group("Cora Ordinator", "Mem Ber", "Edda Edits", "Rema Remarks", "Rea Reads")
              .guest("Gus Guest")
              .guest("Greta Reads");
      String other = group.folder("Another");
      group
          .folderGuest("Otto Other", other, "read")
          .folderGuest("Frida Remarks", other, "read")
          .folderGuest("Falk Reads", other, "read");
      List<String> sorts =
          List.of(
              "coordinator",
              "member",
              "may change it",
              "may remark",
              "may read",
              "guest",
              "guest who may read",
              "guest of another folder",
              "guest of it who may remark",
              "guest of it who may read");
      sorts.forEach(sort -> people.put(sort, people.size()));
      spare = group.folder("Spare");
      moth = group.find("moth").get(0);
      of =
          group
              .client(0)
              .post("/steps", Map.of("asked", Map.of("text", "moth"), "order", "relevance"))
              .ok()
              .get("q")
              .asString();
    }

    Client.Response ask(String person, Endpoints.Endpoint endpoint) {
      String folder = made();
      Client who = group.client(people.get(person)).below("");
      String path =
          (endpoint.path().contains("/annotations/")
                  ? annotated(folder, endpoint.path())
                  : endpoint.path())
              .replace("{group}", group.pid())
              .replace("{folder}", folder)
              .replace("{publication}", moth)
              .replace("{quoted}", "nothing");
      if (endpoint.method().equals("GET")) {
        return who.get(path);
      }
      Map<String, Object> body = new HashMap<>(WORLD.body(endpoint));
      body.put("to", spare);
      body.put("of", "glance:q:" + of);
      body.put("named", named());
      body.put("openTo", "named");
      body.put("version", 2);
      if (endpoint.path().contains("/annotations/")) {
        body.put("version", 1);
        body.put("seen", SAID);
      }
      body.put("email", UUID.randomUUID() + "@x.example");
      return who.write(endpoint.method(), path, body, UUID.randomUUID());
    }

    /** The path as it is where something is said of what is in the folder. */
    private String annotated(String folder, String path) {
      Client edda = group.client(people.get("may change it"));
      String said = "/folders/" + folder + "/annotations/" + moth;
      edda.put(said, Map.of("text", SAID, "version", 0)).ok();
      edda.post(said + "/remarks", Map.of("text", "Which?", "seen", SAID)).ok();
      return path.replace("{n}", "1")
          .replace("{annotationRemark}", edda.get(said).ok().at("/remarks/0/id").asString());
    }

    private String made() {
      Client edda = group.client(people.get("may change it"));
      String folder =
          edda.post("/folders", Map.of("name", "For some " + UUID.randomUUID()))
              .ok()
              .get("id")
              .asString();
      edda.post(
              "/folders/" + folder + "/items", Map.of("publications", List.of(moth), "note", "why"))
          .ok();
      edda.put(
              "/folders/" + folder + "/rights",
              Map.of("openTo", "named", "groupMay", "edit", "named", named(), "version", 1))
          .ok();
      return folder;
    }

    private List<Map<String, String>> named() {
      return List.of(
          named("may change it", "edit"),
          named("may remark", "remark"),
          named("may read", "read"),
          named("guest who may read", "read"),
          named("guest of it who may remark", "remark"),
          named("guest of it who may read", "read"));
    }

    private Map<String, String> named(String person, String may) {
      return Map.of("member", group.member(people.get(person)).pid(), "may", may);
    }
  }
}
