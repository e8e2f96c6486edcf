package org.quietlantern.server;

import static java.util.Map.entry;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.Undoing;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.Endpoints;
import org.quietlantern.server.support.Readings;
import org.quietlantern.server.support.Stored;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.World;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * One law for every command that there is: done twice is done once; undone, everything that was
 * read before is read again, by whoever it is read; what changed since stays; what cannot be undone
 * says why. A new command falls under this by itself. Guests and strangers: {@link StrangersTest}.
 */
class CommandLawTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final World WORLD = World.in(APP).withSteward(APP);
  private static final Stored STORED = new Stored(APP);
  private static final String GROUP = "/api/groups/{group}";

  private static Map<String, String> read = Map.of();
  private static Map<String, String> storedWhenRead = Map.of();

  static {
    // What may be written anew for a quarter of an hour would say so no more in the middle.
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofMinutes(16)));
  }

  /**
   * Not read: numbers of what happened, files that are made anew each time, and what is the same
   * for all groups.
   */
  private static final Pattern NOT_READ =
      Pattern.compile(
          "/(changes|activity|today/done|report.*|.*bibliography/docx|texts/\\{text}/noted|vocabulary/.*|headings.*|journals.*|sources.*|set-aside|house"
              + "|search/(properties|suggestions|comparison|supplied|waiting)"
              + "|publications/\\{publication}/(outward|versions|history))$");

  /** Given by the colleague: nobody checks their own, nor goes on with it instead of themselves. */
  private static final Set<String> OF_THE_COLLEAGUE =
      Set.of(
          "PUT " + GROUP + "/folders/{folder}/annotations/{publication}/writer",
          "PUT " + GROUP + "/searches/{search}/revisions/{n}/checked");

  /** What has to be there first, as {@code METHOD path}. */
  private static final Map<String, String> FIRST =
      Map.ofEntries(
          entry("DELETE " + GROUP + "/marks", "POST " + GROUP + "/folders/{folder}/items"),
          entry("POST " + GROUP + "/pile/items", "POST " + GROUP + "/pile/items"),
          entry(
              "PUT " + GROUP + "/folders/{folder}/bibliography/mended", "PUT " + GROUP + "/mends"),
          entry("POST " + GROUP + "/pile/turned-over", "POST " + GROUP + "/pile/items"),
          entry(
              "DELETE " + GROUP + "/folders/{folder}/link",
              "POST " + GROUP + "/folders/{folder}/link"),
          entry(
              "PUT " + GROUP + "/folders/{folder}/link",
              "POST " + GROUP + "/folders/{folder}/link"),
          entry(
              "POST " + GROUP + "/folders/{folder}/link",
              "DELETE " + GROUP + "/folders/{folder}/link"),
          entry(
              "DELETE " + GROUP + "/folders/{folder}/items",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "POST " + GROUP + "/folders/{folder}/items/moved",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "PUT " + GROUP + "/folders/{folder}/items/{publication}/note",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "PUT " + GROUP + "/folders/{folder}/items/{publication}/place",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "PUT " + GROUP + "/requests/{request}/answer",
              "PUT " + GROUP + "/requests/{request}/state"),
          entry(
              "DELETE " + GROUP + "/brought/{brought}/entries/{n}/taken",
              "POST " + GROUP + "/brought/{brought}/taken"),
          entry("POST " + GROUP + "/followed", "POST " + GROUP + "/followed/{followed}/end"),
          entry("POST " + GROUP + "/followed/{followed}/end", "POST " + GROUP + "/followed"),
          entry(
              "POST " + GROUP + "/alerts/{alert}/resume",
              "POST " + GROUP + "/alerts/{alert}/pause"));

  /** What a second act on the same thing is, where it is not the same act again. */
  private static final Map<String, String> LATER =
      Map.ofEntries(
          entry("DELETE " + GROUP + "/marks", "POST " + GROUP + "/marks"),
          entry("POST " + GROUP + "/pile/turned-over", "POST " + GROUP + "/pile/items"),
          entry(
              "POST " + GROUP + "/folders/{folder}/link",
              "DELETE " + GROUP + "/folders/{folder}/link"),
          entry(
              "DELETE " + GROUP + "/folders/{folder}/link",
              "POST " + GROUP + "/folders/{folder}/link"),
          entry("DELETE " + GROUP + "/invitations/{invitation}", "POST " + GROUP + "/invitations"),
          entry("DELETE " + GROUP + "/members/{member}", "PUT " + GROUP + "/members/{member}/role"),
          entry(
              "DELETE " + GROUP + "/folders/{folder}/items",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "POST " + GROUP + "/folders/{folder}/items/moved",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "PUT " + GROUP + "/folders/{folder}/items/{publication}/note",
              "POST " + GROUP + "/folders/{folder}/items"),
          entry(
              "POST " + GROUP + "/alerts/{alert}/resume",
              "POST " + GROUP + "/alerts/{alert}/pause"),
          entry("POST " + GROUP + "/followed", "POST " + GROUP + "/followed/{followed}/end"),
          entry("POST " + GROUP + "/followed/{followed}/end", "POST " + GROUP + "/followed"),
          entry(
              "POST " + GROUP + "/alerts/{alert}/pause",
              "POST " + GROUP + "/alerts/{alert}/resume"));

  /**
   * Undone in the order in which they were given, these leave another thing than there was: what is
   * kept again with the same words stands there once ({@link KeepingTest}).
   */
  private static final Set<String> LATER_FIRST =
      Set.of("DELETE " + GROUP + "/folders/{folder}/items");

  @TestFactory
  Stream<DynamicTest> everyCommand() {
    Stream<DynamicTest> each =
        commands()
            .map(command -> DynamicTest.dynamicTest(command.toString(), () -> holdsFor(command)));
    return Stream.concat(
        each, Stream.of(DynamicTest.dynamicTest("every kind was given", this::everyKind)));
  }

  private static Stream<Endpoints.Endpoint> commands() {
    return Endpoints.of(APP).stream()
        .filter(Endpoints.Endpoint::command)
        .filter(endpoint -> !endpoint.path().endsWith("/undo"));
  }

  private static void holdsFor(Endpoints.Endpoint command) {
    Client giver = OF_THE_COLLEAGUE.contains(command.toString()) ? colleague() : WORLD.member();
    Map<String, Object> body = body(command);
    if (FIRST.containsKey(command.toString())) {
      give(giver, FIRST.get(command.toString()), UUID.randomUUID());
    }
    String path = WORLD.fill(path(command));
    Map<String, String> before = everythingRead();
    UUID id = UUID.randomUUID();

    Client.Response done = give(giver, command, path, body, id);
    assertThat(done.status()).as(done.body()).isBetween(200, 204);
    Map<String, String> stored = STORED.now();
    Client.Response again = give(giver, command, path, body, id);
    assertThat(again.status()).as("done twice: " + again.body()).isEqualTo(done.status());
    assertThat(again.body()).isEqualTo(done.body());
    assertThat(STORED.now()).as("done twice").isEqualTo(stored);

    if (kind(id).before() == CommandKind.Nothing.class) {
      Client.Response undone = undo(giver, id);
      assertThat(undone.status()).isEqualTo(409);
      assertThat(undone.type()).isEqualTo("cannot-be-undone");
      assertThat(undone.json().get("detail").asString()).endsWith(".").hasSizeGreaterThan(20);
      assertThat(STORED.now()).as("stays").isEqualTo(stored);
      return;
    }
    if (!secondAct(giver, command, path, id)) {
      Client.Response undone = undo(giver, id);
      assertThat(undone.status()).as(undone.body()).isEqualTo(200);
    }
    assertThat(Readings.differences(before, everythingRead())).as(command + " undone").isEmpty();
    assertThat(undo(giver, id).type()).isEqualTo("undone-already");
  }

  /**
   * Given after the first act. On the same thing, the first one stays as long as it does; in the
   * end it is undone.
   *
   * @return whether the first one was undone
   */
  private static boolean secondAct(
      Client giver, Endpoints.Endpoint command, String path, UUID first) {
    UUID later = UUID.randomUUID();
    Client.Response second =
        LATER.containsKey(command.toString())
            ? give(giver, LATER.get(command.toString()), later)
            : give(giver, command, path, body(command), later);
    if (second.status() >= 300) {
      // Nothing more can be done to it.
      return false;
    }
    boolean same = changes(first).stream().anyMatch(changes(later)::contains);
    if (!same && LATER_FIRST.contains(command.toString())) {
      assertThat(undo(giver, later).status()).isEqualTo(200);
      return false;
    }
    Client.Response undone = undo(giver, first);
    if (same) {
      assertThat(undone.status()).as("changed since").isEqualTo(409);
      assertThat(undone.type()).isEqualTo("changed-since");
    } else {
      assertThat(undone.status()).as("another thing was changed").isEqualTo(200);
    }
    assertThat(undo(giver, later).status()).isEqualTo(200);
    return !same;
  }

  private void everyKind() {
    List<String> given =
        APP.bean(JdbcTemplate.class)
            .queryForList(
                "select distinct what from action a join grp g on g.id = a.grp where g.pid = ?",
                String.class,
                WORLD.group());
    assertThat(new TreeSet<>(given)).containsAll(APP.bean(Undoing.class).kinds().keySet());
  }

  private static CommandKind<?, ?> kind(UUID id) {
    String what =
        APP.bean(JdbcTemplate.class)
            .queryForObject("select what from action where command = ?", String.class, id);
    return APP.bean(Undoing.class).kinds().get(what);
  }

  private static List<String> changes(UUID id) {
    return APP.bean(JdbcTemplate.class)
        .queryForList("select unnest(changes) from action where command = ?", String.class, id);
  }

  private static Client colleague() {
    return WORLD.member(1);
  }

  private static Client.Response undo(Client giver, UUID id) {
    return giver.post(
        "/api/groups/" + WORLD.group() + "/actions/" + id + "/undo", Map.of(), UUID.randomUUID());
  }

  private static Client.Response give(Client giver, String named, UUID id) {
    Endpoints.Endpoint endpoint =
        commands().filter(one -> one.toString().equals(named)).findFirst().orElseThrow();
    return give(giver, endpoint, WORLD.fill(path(endpoint)), body(endpoint), id);
  }

  /** A file is sent as it is, whatever else is said of it stands in the address. */
  private static Client.Response give(
      Client giver, Endpoints.Endpoint command, String path, Map<String, Object> body, UUID id) {
    return command.path().endsWith("/texts")
        ? giver.writeText(
            command.method(), path + WORLD.query(command), "<!doctype html><p>Moths.", id)
        : giver.write(command.method(), path, body, id);
  }

  /** By both; as it was read last, where nothing was stored since. */
  private static Map<String, String> everythingRead() {
    Map<String, String> stored = STORED.now();
    if (!stored.equals(storedWhenRead)) {
      read = Readings.of(APP, WORLD, List.of(WORLD.member(), colleague()), NOT_READ);
      storedWhenRead = STORED.now();
    }
    return read;
  }

  private static String path(Endpoints.Endpoint command) {
    if (command.toString().equals("DELETE " + GROUP + "/brought/{brought}")) {
      return command.path().replace("{brought}", WORLD.openBrought());
    }
    if (command.path().startsWith(GROUP + "/drive")) {
      // It may have been given up, with all that was on it.
      return command.path().replace("{driveFile}", WORLD.freshDriveFile());
    }
    if (command.toString().equals("PUT " + GROUP + "/remarks/{remark}")) {
      // It is written anew for a quarter of an hour, and this takes longer on a slow machine.
      return command.path().replace("{remark}", WORLD.freshRemark());
    }
    if (command.path().contains("/meetings/{meeting}")) {
      boolean begun = command.path().matches(".*/(present|works|decisions|end)");
      return command.path().replace("{meeting}", WORLD.freshMeeting(begun));
    }
    if (command.path().contains("/feeds/{feed}")) {
      // It may have been revoked.
      return command.path().replace("{feed}", WORLD.freshFeed());
    }
    return command.toString().equals("DELETE " + GROUP + "/folders/{folder}")
        ? command.path().replace("{folder}", WORLD.spareFolder())
        : command.path();
  }

  private static Map<String, Object> body(Endpoints.Endpoint command) {
    Map<String, Object> body = new HashMap<>(WORLD.body(command));
    if (command.path().endsWith("/vocabulary")) {
      byte[] same = WORLD.member().getBytes(WORLD.fill(GROUP + "/vocabulary/skos.ttl"));
      body.put("file", Base64.getEncoder().encodeToString(same));
    }
    if (command.path().endsWith("/remarks")) {
      body.put(
          "line",
          WORLD
              .member()
              .get(WORLD.fill(GROUP + "/searches/{search}"))
              .ok()
              .at("/strategy/lines/0/id")
              .asString());
    }
    if (command.path().endsWith("/revisions")) {
      body.put(
          "asked", Map.of("text", "moth or x" + UUID.randomUUID().toString().replace("-", "")));
    }
    return body;
  }
}
