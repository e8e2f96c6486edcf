package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Endpoints;
import org.quietlantern.server.support.StatementCounter;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.server.support.World;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Every endpoint that reads sends as many statements for much as for little; a new one falls under
 * this by itself.
 */
class StatementsTest {
  private static final int MOST = 10;
  @RegisterExtension private static final TestApp APP = TestApp.own();

  @TestFactory
  Stream<DynamicTest> aListIsReadWithAFixedNumberOfStatements() {
    Sized little = new Sized(1);
    Sized much = new Sized(12);
    return Endpoints.of(APP).stream()
        .filter(e -> e.path().startsWith("/api/groups/{group}") && isReading(e))
        .map(
            e ->
                DynamicTest.dynamicTest(
                    e.toString(),
                    () -> {
                      int few = little.count(e);
                      assertThat(much.count(e))
                          .as("%s", e)
                          .isEqualTo(few)
                          .isLessThanOrEqualTo(MOST);
                    }));
  }

  private static boolean isReading(Endpoints.Endpoint endpoint) {
    return endpoint.method().equals("GET")
        || endpoint.path().endsWith("/search")
        || endpoint.path().endsWith("/rows");
  }

  /** A group with so many of everything. */
  private static final class Sized {
    private final Map<String, String> values;
    private final java.util.List<String> found;
    private final Client client;

    Sized(int size) {
      TestGroup group = APP.group("Sven Size", "Signe Size");
      client = group.client(0);
      String folder = group.folder("One");
      found = group.find("moth or bat*").subList(0, size);
      for (String publication : found) {
        Map<String, Object> body =
            Map.of("publications", java.util.List.of(publication), "note", "why");
        client.post("/folders/" + folder + "/items", body).ok();
        group.client(1).post("/folders/" + folder + "/items", body).ok();
      }
      annotate(folder, size);
      putOnDrive(folder, size);
      String search = "";
      String alert = "";
      String feed = "";
      for (int i = 0; i < size; i++) {
        group.folder("Folder " + i);
        search = group.search(folder, "Search " + i, "moth").get("id").asString();
        alert =
            client
                .post("/alerts", Map.of("search", search, "rhythm", "at-once"))
                .ok()
                .get("id")
                .asString();
        feed = client.post("/feeds", Map.of("of", "alert:" + alert)).ok().get("id").asString();
        String followed = "http://127.0.0.1:9/" + i + ".rss";
        client
            .post("/followed", Map.of("feeds", java.util.List.of(Map.of("address", followed))))
            .ok();
      }
      int copies = 0;
      for (String publication : group.find("moth or bat*")) {
        String path = "/publications/" + publication + "/requests";
        // What can be read is not asked for.
        copies += client.post(path, Map.of("note", "")).status() == 200 ? 1 : 0;
        if (copies == size) {
          break;
        }
      }
      String text = group.text();
      String question = "";
      for (int i = 0; i < size; i++) {
        group.marginNote(text);
        client
            .post(
                "/tasks",
                Map.of(
                    "text",
                    "Look",
                    "publication",
                    found.get(0),
                    "doi",
                    "10.5555/size." + i,
                    "owner",
                    group.member(0).pid()))
            .ok();
        question =
            group
                .client(1)
                .post(
                    "/questions",
                    Map.of("to", group.member(0).pid(), "text", "Why?", "place", "/f/" + folder))
                .ok()
                .get("id")
                .asString();
      }
      String everything = group.alert(folder, "Everything", TestGroup.EVERYTHING, "at-once");
      APP.passUntilSomethingCame();
      APP.pass(size);
      String round = client.get("/rounds").ok().get("rounds").get(0).get("id").asString();
      String q =
          client
              .post("/steps", Map.of("asked", Map.of("text", "moth"), "order", "here"))
              .ok()
              .get("q")
              .asString();
      String note = "";
      for (int i = 0; i < size; i++) {
        note =
            client
                .post("/folders/" + folder + "/notes", Map.of("of", "q:" + q))
                .ok()
                .get("note")
                .get("id")
                .asString();
      }
      String brought = "";
      for (int i = 0; i < size; i++) {
        brought = client.post("/brought", Map.of()).ok().get("id").asString();
        StringBuilder ris = new StringBuilder();
        for (int n = 0; n < size; n++) {
          ris.append("TY  - JOUR\nTI  - Sized moths ").append(n).append("\nER  - \nTY  - \n");
        }
        client.sendBytes(
            "PUT",
            "/brought/" + brought + "/files/0?name=moths.ris",
            ris.toString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
      }
      String meeting = meeting(size);
      UUID out = UUID.randomUUID();
      String items = "/folders/" + group.folder("Emptied") + "/items";
      client.post(items, Map.of("publications", found, "note", "")).ok();
      client.write("DELETE", items, Map.of("publications", found), out).ok();
      values =
          Map.ofEntries(
              Map.entry("{group}", group.pid()),
              Map.entry("{folder}", folder),
              Map.entry("{search}", search),
              Map.entry("{alert}", everything),
              Map.entry("{feed}", feed),
              Map.entry("{round}", round),
              Map.entry("{q}", q),
              Map.entry("{note}", note),
              Map.entry("{out}", out.toString()),
              Map.entry("{publication}", found.get(0)),
              Map.entry("{text}", text),
              Map.entry("{question}", question),
              Map.entry("{meeting}", meeting),
              Map.entry("{brought}", brought),
              Map.entry("{form}", "txt"),
              Map.entry("{list}", "owed"),
              Map.entry("{shelf}", "group"),
              Map.entry("{issn}", "9999-1004"),
              Map.entry("{source}", "night-index"),
              Map.entry("{n}", "1"),
              Map.entry("{year}", "2025"));
    }

    /** So many meetings, the last under way with so much on its agenda. */
    private String meeting(int size) {
      Map<String, Object> mark = Map.of("publications", found, "mark", "raise", "reason", "Do we?");
      client.post("/marks", mark).ok();
      String meeting = "";
      for (int i = 0; i < size; i++) {
        Map<String, String> called = Map.of("day", "2027-03-01", "time", "14:00", "place", "");
        meeting = client.post("/meetings", called).ok().get("id").asString();
      }
      Map<String, Object> there = Map.of("present", java.util.List.of(), "version", 0);
      client.put("/meetings/" + meeting + "/begin", there).ok();
      return meeting;
    }

    /** Files that wait for a drive, of which each was in trouble once. */
    private void putOnDrive(String folder, int size) {
      client.put("/drive", World.driveAt(APP.outside().driveAddress())).ok();
      for (int i = 0; i < size; i++) {
        client.post("/drive/files", World.driveFile(folder)).ok();
      }
      APP.bean(JdbcTemplate.class)
          .update("update drive_file set trouble = 'full' where folder = ?", folder);
    }

    private void annotate(String folder, int size) {
      String bibliography = "/folders/" + folder + "/bibliography";
      java.util.List<Map<String, String>> chapters = new java.util.ArrayList<>();
      for (int i = 0; i < size; i++) {
        chapters.add(Map.of("was", "", "name", "Heading " + i));
        String said = "/folders/" + folder + "/annotations/" + found.get(i);
        client.put(said, Map.of("text", "Good.", "version", 0)).ok();
        client
            .post(
                bibliography + "/entries/" + found.get(i) + "/quoted",
                Map.of("described", "Oxlade (1990)", "doi", ""))
            .ok();
        String first = "/folders/" + folder + "/annotations/" + found.get(0);
        client.put(first, Map.of("text", "Good " + i, "version", i + 1)).ok();
        client.post(first + "/remarks", Map.of("text", "Why?", "seen", "Good " + i)).ok();
      }
      client
          .put(
              bibliography + "/chapters",
              Map.of("chaptersSeen", java.util.List.of(), "chapters", chapters))
          .ok();
      client
          .put(bibliography + "/chapter", Map.of("publications", found, "chapter", "Heading 0"))
          .ok();
    }

    int count(Endpoints.Endpoint endpoint) {
      String path = endpoint.path();
      for (Map.Entry<String, String> value : values.entrySet()) {
        path = path.replace(value.getKey(), value.getValue());
      }
      Client whole = client.below("");
      String address = path + World.query(path, values.get("{q}"));
      StatementCounter counter = APP.bean(StatementCounter.class);
      whole.get("/api/me");
      // Which texts the group has is kept for a minute.
      client.get("/folders/" + values.get("{folder}")).ok();
      // The clock looks at the database every five seconds; it just did.
      Calendar calendar = APP.bean(Calendar.class);
      calendar.set(calendar.now());
      int before = counter.count();
      Client.Response answer =
          endpoint.method().equals("GET")
              ? whole.get(address)
              : whole.post(
                  address, path.endsWith("/rows") ? Map.of("ids", found) : Map.of("text", "moth"));
      assertThat(answer.status()).as(answer.body()).isEqualTo(200);
      return counter.count() - before;
    }
  }
}
