package org.quietlantern.server.support;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import tools.jackson.databind.JsonNode;

/** A group made for a test. */
public final class TestGroup {
  /** A line that finds every publication: it only rules out, and what it rules out is nowhere. */
  public static final String EVERYTHING = "not xylophones";

  private final TestApp app;
  private final int group;
  private final Map<Integer, Client> clients = new ConcurrentHashMap<>();

  TestGroup(TestApp app, int group) {
    this.app = app;
    this.group = group;
  }

  public Member member(int which) {
    return app.bean(Groups.class).members(group).get(which);
  }

  public int size() {
    return app.bean(Groups.class).members(group).size();
  }

  /** The browser of a member, signed in; addresses are below the group's. */
  public Client client(int which) {
    return clients.computeIfAbsent(
        which, w -> app.signedIn(member(w)).below("/api/groups/" + member(w).groupPid()));
  }

  void join(String name) {
    app.join(group, name, "member");
  }

  void makeSteward(int which) {
    app.makeSteward(member(which));
  }

  public TestGroup guest(String name) {
    app.join(group, name, "guest");
    return this;
  }

  /** Somebody from outside, who sees a folder and nothing else. */
  public TestGroup folderGuest(String name, String folder, String may) {
    app.joinFolder(group, name, folder, may);
    return this;
  }

  public String pid() {
    return member(0).groupPid();
  }

  /** Makes a folder and answers its id. */
  public String folder(String name) {
    return client(0).post("/folders", Map.of("name", name)).ok().get("id").asString();
  }

  /** Saves a search in a folder and answers it. */
  public JsonNode search(String folder, String name, String text) {
    return client(0)
        .post(
            "/folders/" + folder + "/searches", Map.of("name", name, "asked", Map.of("text", text)))
        .ok();
  }

  /** Saves a search, watches it, and answers the alert's id. */
  public String alert(String folder, String name, String text, String rhythm) {
    String search = search(folder, name, text).get("id").asString();
    return client(0)
        .post("/alerts", Map.of("search", search, "rhythm", rhythm))
        .ok()
        .get("id")
        .asString();
  }

  /** Id of a file that the group had fetched. */
  public String text() {
    return find("moth*").stream()
        .flatMap(publication -> file(publication).stream())
        .findFirst()
        .orElseThrow();
  }

  private Optional<String> file(String publication) {
    String path = "/publications/" + publication + "/texts";
    for (JsonNode way : client(0).get(path).ok().get("offered")) {
      if (way.get("use").asString().equals("file")) {
        client(0).post(path + "/fetched", Map.of("address", way.get("address").asString()));
      }
    }
    return client(0)
        .get(path)
        .ok()
        .get("copies")
        .valueStream()
        .filter(copy -> copy.get("form").asString().equals("pdf"))
        .map(copy -> copy.get("id").asString())
        .findFirst();
  }

  /** Id of a note at a text, which is shared. */
  public String marginNote(String text) {
    String publication = client(0).get("/texts/" + text).ok().at("/copy/publication").asString();
    Map<String, Object> passage =
        Map.of("quote", "lamps", "before", "", "after", "", "page", 0, "start", 0);
    return client(0)
        .post(
            "/publications/" + publication + "/margin-notes",
            Map.of(
                "kind", "note",
                "text", "why",
                "shared", true,
                "passage", passage,
                "label", "",
                "version", "final"))
        .ok()
        .get("note")
        .asString();
  }

  /** Ids of the first publications that a line finds. */
  public List<String> find(String text) {
    return client(0)
        .post("/search", Map.of("text", text))
        .ok()
        .get("answer")
        .get("ids")
        .valueStream()
        .map(JsonNode::asString)
        .toList();
  }
}
