package org.quietlantern.server.support;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.quietlantern.standins.corpus.Journal;
import org.quietlantern.standins.host.SharedDrive;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.MissingNode;

/**
 * A group that has one of everything, to fill the variables of any endpoint with. An endpoint with
 * a variable that is not here fails the walks until somebody adds it.
 */
public final class World {
  /** Variables that name something of one group. */
  public static final Set<String> OWNED =
      Set.of(
          "folder",
          "search",
          "alert",
          "round",
          "feed",
          "q",
          "action",
          "set",
          "note",
          "absence",
          "ended",
          "out",
          "invitation",
          "question",
          "meeting",
          "annotationRemark",
          "quoted",
          "task",
          "brought",
          "followed",
          "driveFile");

  private static final String SAID = "Counts moths by hand.";
  private static final String ASKED = "asked@x.example";
  private final TestGroup group;
  private final Map<String, String> values = new HashMap<>();

  /** One that cannot be read, so that a copy can be asked for. */
  private final String asked;

  private final String driveAddress;
  private final String followedAddress;

  /** One that stands raised, and on the agenda of any meeting. */
  private final String raised;

  private World(TestApp app) {
    group = app.group("Wilma World", "Willem World").guest("Gus Guest");
    Client client = group.client(0);
    String folder = group.folder("Everything");
    String search = group.search(folder, "Moths", "moth").get("id").asString();
    UUID action = UUID.randomUUID();
    String publication = group.find("moth").get(0);
    client
        .post(
            "/folders/" + folder + "/items",
            Map.of("publications", List.of(publication), "note", ""),
            action)
        .ok();
    String alert = group.alert(folder, "All", TestGroup.EVERYTHING, "at-once");
    values.put("alert", alert);
    String q =
        client
            .post("/steps", Map.of("asked", Map.of("text", "moth"), "order", "relevance"))
            .ok()
            .get("q")
            .asString();
    Map<String, Object> limit =
        Map.of("id", "k", "kind", "limit", "property", "kind", "chosen", List.of("article"));
    Map<String, Object> limited = Map.of("version", 2, "lines", List.of(limit));
    String set =
        client
            .post("/limit-sets", Map.of("name", "Articles", "strategy", limited))
            .ok()
            .get("id")
            .asString();
    app.passUntilSomethingCame();
    String round = client.get("/rounds").ok().get("rounds").get(0).get("id").asString();
    String spare = group.folder("Spare");
    client
        .post(
            "/folders/" + spare + "/items",
            Map.of("publications", List.of(publication), "note", ""))
        .ok();
    values.put("spare", spare);
    values.put("group", group.pid());
    values.put("folder", folder);
    values.put("search", search);
    values.put("publication", publication);
    values.put("alert", alert);
    values.put("feed", freshFeed());
    values.put("round", round);
    values.put("q", q);
    values.put("action", action.toString());
    values.put("set", set);
    String ended = group.search(folder, "Ended", "bat").get("id").asString();
    client.write("DELETE", "/searches/" + ended, Map.of(), UUID.randomUUID()).ok();
    values.put("ended", ended);
    values.put("out", takenOut(client, folder, group.find("moth").get(1)));
    values.put("n", "1");
    values.put(
        "note",
        client
            .post("/folders/" + folder + "/notes", Map.of("of", "glance:q:" + q))
            .ok()
            .get("note")
            .get("id")
            .asString());
    values.put("request", request(client, closed(client, 0)));
    asked = closed(client, 1);
    String text = group.text();
    values.put("text", text);
    values.put("marginNote", group.marginNote(text));
    values.put(
        "remark",
        client
            .post("/publications/" + publication + "/remarks", Map.of("text", "Look"))
            .ok()
            .get("id")
            .asString());
    annotate(client, folder, publication);
    values.put("member", group.member(1).pid());
    values.put(
        "absence",
        client
            .post("/members/" + group.member(1).pid() + "/absences", Map.of("from", "2029-01-01"))
            .ok()
            .get("id")
            .asString());
    values.put("task", task(client, group.member(0).pid()));
    values.put("question", question(client, group.member(1).pid(), q));
    values.put(
        "invitation",
        client
            .post("/invitations", Map.of("email", ASKED, "role", "member"))
            .ok()
            .get("id")
            .asString());
    values.put("brought", brought(client, folder, group.find("moth")));
    followedAddress = app.outside().address() + "/feeds/" + Journal.ALL.get(0).issn() + ".rss";
    values.put("followed", client.post("/followed", followed()).ok().at("/followed/0").asString());
    driveAddress = app.outside().driveAddress();
    values.put("driveFile", onDrive(client, folder));
    raised = group.find("moth").get(3);
    values.put("meeting", freshMeeting(true));
    values.put("form", "txt");
    values.put("shelf", "printed");
    values.put("list", "owed");
    values.put("issn", "9999-1004");
    values.put("source", "night-index");
    values.put("load", "0");
    values.put("job", "harvest");
    values.put("year", "2025");
    values.put("visit", "0123456789abcdef");
    values.put("founding", UUID.randomUUID().toString());
  }

  /** One that was taken but for an entry that is like what is here, and waits for a decision. */
  private static String brought(Client client, String folder, List<String> some) {
    String doi =
        some.stream()
            .map(id -> client.get("/publications/" + id).ok().get("doi").asString())
            .filter(one -> !one.isEmpty())
            .findFirst()
            .orElseThrow();
    String ris = ris("Hedges of our own", "") + ris("Axles of slow carts", doi);
    String brought = broughtOpen(client, ris);
    client.post("/brought/" + brought + "/taken", Map.of("folder", folder)).ok();
    return brought;
  }

  /** Nothing of it was taken. */
  private static String broughtOpen(Client client, String ris) {
    String brought = client.post("/brought", Map.of()).ok().get("id").asString();
    client.sendBytes(
        "PUT",
        "/brought/" + brought + "/files/1?name=moths.ris",
        ris.getBytes(java.nio.charset.StandardCharsets.UTF_8));
    return brought;
  }

  private Map<String, Object> followed() {
    return Map.of("feeds", List.of(Map.of("address", followedAddress)));
  }

  /** A drive, and a file that waits to be written on it. */
  private String onDrive(Client client, String folder) {
    client.put("/drive", driveAt(driveAddress)).ok();
    return client.post("/drive/files", driveFile(folder)).ok().get("id").asString();
  }

  /** What sets the drive of the world outside. */
  public static Map<String, Object> driveAt(String address) {
    return Map.of("address", address, "name", SharedDrive.NAME, "password", SharedDrive.PASSWORD);
  }

  /** Another one each time. */
  public static Map<String, Object> driveFile(String folder) {
    Map<String, String> file = Map.of("what", "references", "format", "bibtex", "folder", folder);
    String name = UUID.randomUUID() + ".bib";
    return Map.of("in", "Everything", "name", name, "kept", true, "file", file);
  }

  /** One that was said just now. */
  public String freshRemark() {
    return group
        .client(0)
        .post("/publications/" + values.get("publication") + "/remarks", Map.of("text", "Look"))
        .ok()
        .get("id")
        .asString();
  }

  /** One that is planned, or one under way with a work that was raised since it began. */
  public String freshMeeting(boolean begun) {
    Client client = group.client(0);
    Map<String, String> called = Map.of("day", "2027-03-01", "time", "14:00", "place", "Here");
    String meeting = client.post("/meetings", called).ok().get("id").asString();
    raise(raised);
    if (begun) {
      List<String> later = List.of(group.find("moth").get(4));
      client.write("DELETE", "/marks", Map.of("publications", later), UUID.randomUUID());
      client
          .put("/meetings/" + meeting + "/begin", Map.of("present", List.of(), "version", 0))
          .ok();
      raise(later.get(0));
    }
    return meeting;
  }

  private void raise(String publication) {
    group
        .client(0)
        .post(
            "/marks",
            Map.of("publications", List.of(publication), "mark", "raise", "reason", "Do we?"))
        .ok();
  }

  /** A feed whose opened entries are marked seen; another one where the last was revoked. */
  public String freshFeed() {
    Client client = group.client(0);
    String feed =
        client
            .post("/feeds", Map.of("of", "alert:" + values.get("alert")))
            .ok()
            .get("id")
            .asString();
    client.put("/feeds/" + feed, Map.of("marksSeen", true)).ok();
    return feed;
  }

  /** One that waits to be written, on a drive that is set. */
  public String freshDriveFile() {
    return onDrive(group.client(0), values.get("folder"));
  }

  /** Another than {@code brought}, of which nothing was taken. */
  public String openBrought() {
    return broughtOpen(group.client(0), ris("More hedges of our own", ""));
  }

  private static String ris(String title, String doi) {
    return "TY  - JOUR\nTI  - %s\nAU  - Owner, Una\nPY  - 2024\n%sER  - \n"
        .formatted(title, doi.isEmpty() ? "" : "DO  - " + doi + "\n");
  }

  /** With a heading, a remark, and a work that is quoted through it. */
  private void annotate(Client client, String folder, String publication) {
    String said = "/folders/" + folder + "/annotations/" + publication;
    client.put(said, Map.of("text", SAID, "version", 0)).ok();
    client
        .post(
            said + "/remarks",
            Map.of("text", "Which?", "about", Map.of("start", 7, "end", 12), "seen", SAID))
        .ok();
    values.put("annotationRemark", client.get(said).ok().at("/remarks/0/id").asString());
    String bibliography = "/folders/" + folder + "/bibliography";
    client
        .put(
            bibliography + "/chapters",
            Map.of(
                "chaptersSeen",
                List.of(),
                "chapters",
                List.of(Map.of("was", "", "name", "By night"))))
        .ok();
    values.put(
        "quoted",
        client
            .post(
                bibliography + "/entries/" + publication + "/quoted",
                Map.of("described", "Oxlade (1990)", "doi", ""))
            .ok()
            .get("id")
            .asString());
  }

  private JsonNode chapters() {
    String folder = values.get("folder");
    return group.client(0).get("/folders/" + folder + "/bibliography").ok().get("chapters");
  }

  /** As it is seen now; nothing where the work was taken out. */
  private JsonNode annotation() {
    Client.Response seen =
        group
            .client(0)
            .get("/folders/" + values.get("folder") + "/annotations/" + values.get("publication"));
    return seen.status() == 200 ? seen.json() : MissingNode.getInstance();
  }

  private String closed(Client client, int which) {
    return group.find("moth").stream()
        .filter(
            id ->
                client
                    .get("/publications/" + id)
                    .ok()
                    .get("publication")
                    .get("access")
                    .asString()
                    .matches("by request|abstract only"))
        .skip(which)
        .findFirst()
        .orElseThrow();
  }

  /** The act by which something was taken out of a folder. */
  private static String takenOut(Client client, String folder, String publication) {
    List<String> one = List.of(publication);
    String path = "/folders/" + folder + "/items";
    client.post(path, Map.of("publications", one, "note", "")).ok();
    UUID act = UUID.randomUUID();
    client.write("DELETE", path, Map.of("publications", one), act).ok();
    return act.toString();
  }

  private static String email(Client who) {
    return who.below("").get("/api/me").ok().get("email").asString();
  }

  /** One that was closed and is asked again. */
  private static String question(Client client, String to, String q) {
    Map<String, String> asked = Map.of("to", to, "text", "Which words?", "place", "/q/" + q);
    String question = client.post("/questions", asked).ok().get("id").asString();
    String path = "/questions/" + question + "/state";
    client.put(path, Map.of("closed", true, "version", 1)).ok();
    client.put(path, Map.of("closed", false, "version", 2)).ok();
    return question;
  }

  /** One that each thing was done to. */
  private static String task(Client client, String me) {
    String task = client.post("/tasks", Map.of("text", "Which moths?")).ok().get("id").asString();
    String path = "/tasks/" + task;
    client.put(path + "/owner", Map.of("owner", me, "version", 1)).ok();
    client.put(path + "/owner", Map.of("version", 2)).ok();
    client.put(path + "/state", Map.of("state", "given up", "word", "x", "version", 3)).ok();
    client.put(path + "/state", Map.of("state", "open", "version", 4)).ok();
    return task;
  }

  /** With a fault in it whose mend is certain. */
  private Map<String, String> mend() {
    String publication = values.get("publication");
    JsonNode title = group.client(0).get("/publications/" + publication + "/fields").ok().get(0);
    return Map.of(
        "publication",
        publication,
        "field",
        title.get("field").asString(),
        "was",
        title.get("reads").asString(),
        "value",
        "Moths &amp; lamps");
  }

  private JsonNode rights() {
    return group.client(0).get("/folders/" + values.get("folder") + "/rights").ok();
  }

  /** As somebody sees it who looks at it now. */
  private int versionOfTask() {
    for (JsonNode task : group.client(0).get("/tasks").ok().get("tasks")) {
      if (task.get("id").asString().equals(values.get("task"))) {
        return task.get("version").asInt();
      }
    }
    return 0;
  }

  private static String request(Client client, String publication) {
    return client
        .post("/publications/" + publication + "/requests", Map.of("note", ""))
        .ok()
        .get("request")
        .asString();
  }

  /** A new one; days pass in the application until it has a round. */
  public static World in(TestApp app) {
    return new World(app);
  }

  public String group() {
    return group.pid();
  }

  public Client member() {
    return group.client(0).below("");
  }

  /** Gives the member the right to look after the shared catalogue. */
  public World withSteward(TestApp app) {
    app.makeSteward(group.member(0));
    return this;
  }

  /** Somebody who looks after the shared catalogue and is no coordinator. */
  public Client steward() {
    if (group.size() == 4) {
      group.join("Stella Steward");
      group.makeSteward(4);
    }
    return group.client(4).below("");
  }

  public Client member(int which) {
    return group.client(which).below("");
  }

  /** A folder that nothing else is about, with something in it. */
  public String spareFolder() {
    return values.get("spare");
  }

  /**
   * Somebody from outside who may say something of what is in the folder, and sees nothing else.
   */
  public Client folderGuest() {
    if (group.size() == 3) {
      group.folderGuest("Fola Folders", values.get("folder"), "remark");
    }
    return group.client(3).below("");
  }

  public Client guest() {
    return group.client(2).below("");
  }

  public String fill(String path) {
    String filled = path.replaceFirst("/\\{publication}/requests$", "/" + asked + "/requests");
    for (Map.Entry<String, String> value : values.entrySet()) {
      filled = filled.replace("{" + value.getKey() + "}", value.getValue());
    }
    if (filled.contains("{")) {
      throw new IllegalStateException("World has nothing for " + filled);
    }
    return filled;
  }

  String value(String name) {
    return values.get(name);
  }

  public String query(Endpoints.Endpoint endpoint) {
    return query(endpoint.path(), values.get("q"));
  }

  /** What a GET needs beside its path; {@code q} names a strategy that was settled. */
  public static String query(String path, String q) {
    return switch (last(path)) {
      case "changes" -> "?since=0";
      case "suggestions" -> "?typed=moth";
      case "report", "text", "docx" -> "?of=q:" + q;
      case "held" -> "?name=q:" + q;
      case "comparison" -> "?one=q:" + q + "&other=q:" + q;
      case "one", "asked" -> "?name=Moths";
      case "loads" -> "?name=moths.xml&into=Moths";
      case "described" -> "?described=rft.atitle%3DLamps";
      case "texts" -> "?name=moths.html&sure=true";
      default -> "";
    };
  }

  private static String last(String path) {
    return path.substring(path.lastIndexOf('/') + 1);
  }

  /** A body that every writing endpoint can read. */
  public Map<String, Object> body(Endpoints.Endpoint endpoint) {
    Map<String, Object> body = new HashMap<>();
    body.put("name", "A name " + UUID.randomUUID());
    body.put("text", "moth");
    body.put("file", "publication_title\tonline_identifier\nMoths\t9999-1004\n");
    body.put("line", "w");
    body.put("property", "kind");
    body.put("cql", "moth");
    Map<String, Object> line = Map.of("id", "w", "kind", "words", "text", "moth");
    Map<String, Object> limit =
        Map.of("id", "k", "kind", "limit", "property", "kind", "chosen", List.of("article"));
    body.put("strategy", Map.of("version", 2, "lines", List.of(line, limit)));
    body.put("asked", Map.of("text", "moth"));
    body.put("order", "relevance");
    body.put("entries", List.of(2));
    body.put("decision", "another");
    body.put("holds", Map.of("Title", "title"));
    body.put("ids", List.of(values.get("publication")));
    body.put("cites", List.of(Map.of("publication", values.get("publication"))));
    body.put("style", "ieee");
    body.put("language", "de-DE");
    body.put("byHand", true);
    body.put("citationStyle", "ieee");
    body.put("mends", List.of(mend()));
    body.put("seen", 1);
    body.put("annotated", true);
    body.put("checked", true);
    body.put("publications", List.of(values.get("publication")));
    body.put("folder", values.get("folder"));
    body.put("hour", "06:00");
    body.put("gap", true);
    body.put("receive", true);
    body.put("note", "");
    body.put("to", values.get("spare"));
    body.put("was", "");
    body.put("description", "for the review");
    body.put("mark", "keep");
    body.put("reason", "");
    body.put("round", values.get("round"));
    body.put("search", values.get("search"));
    body.put("rhythm", "daily");
    body.put("of", "glance:q:" + values.get("q"));
    body.put("revision", 1);
    body.put("comment", "a reason");
    body.put("documented", true);
    body.put("member", group.member(1).pid());
    body.put("address", "http://127.0.0.1:9/" + UUID.randomUUID());
    body.put("format", "mods");
    body.put("with", List.of("abstract"));
    body.put("form", "csv");
    body.put("addresses", List.of("orla@countyhall.example"));
    body.put("members", List.of());
    body.put("copy", true);
    body.put("columns", List.of("title", "year"));
    body.put("rank", 5);
    body.put("zone", "Europe/Oslo");
    body.put("person", "Wilma World");
    body.put("abstractsOpen", true);
    body.put("paused", false);
    body.put("mend", false);
    body.put("kind", "task");
    body.put("shared", true);
    body.put("extent", "text");
    body.put("described", "rft.atitle=Lamps+nobody+has&rft.date=2024");
    body.put("done", false);
    body.put("settled", true);
    body.put("lookedAt", true);
    body.put("email", ASKED);
    body.put("role", "coordinator");
    body.put("label", "204");
    body.put("version", "final");
    body.put("passage", Map.of("quote", "moths", "before", "", "after", "", "page", 0, "start", 0));
    body.put("state", "sent");
    body.put("kinds", List.of("article"));
    body.put("lenders", List.of(Map.of("name", "Next door", "kinds", List.of("article"))));
    if (endpoint.path().contains("/tasks")) {
      body.put("owner", group.member(1).pid());
      body.put("due", "2030-12-24");
      body.put("publication", values.get("publication"));
      body.put("version", versionOfTask());
      body.put("state", "done");
    }
    if (endpoint.path().contains("/meetings")) {
      body.put("day", "2027-04-01");
      body.put("time", "09:30");
      body.put("place", "There");
      body.put("present", List.of(group.member(1).pid()));
      body.put("version", endpoint.path().matches(".*/(present|end)") ? 1 : 0);
      body.put("publication", raised);
      body.put("what", "keep");
      body.put("words", "Ours.");
    }
    if (endpoint.path().contains("/questions")) {
      body.put("to", group.member(1).pid());
      body.put("place", "/q/" + values.get("q"));
      body.put("q", values.get("q"));
      body.put("closed", true);
      body.put(
          "version",
          group
              .client(0)
              .get("/questions/" + values.get("question"))
              .ok()
              .at("/question/version")
              .asInt());
    }
    if (endpoint.path().contains("/annotations/")) {
      JsonNode annotation = annotation();
      body.put("version", annotation.at("/version").asInt(0));
      body.put("seen", annotation.at("/text").asString(""));
      body.put("state", "to be read");
      body.put("outcome", "left");
      body.put("about", Map.of("start", 0, "end", 6));
    }
    if (endpoint.path().contains("/bibliography/chapter")) {
      String heading = chapters().get(0).asString();
      body.put("chapter", heading);
      body.put("chaptersSeen", List.of(heading));
      body.put("chapters", List.of(Map.of("was", heading, "name", "By day " + UUID.randomUUID())));
    }
    if (endpoint.path().endsWith("/quoted")) {
      body.put("doi", "10.5555/quoted");
    }
    if (endpoint.path().endsWith("/absences")) {
      body.put("from", "2030-12-24");
      body.put("to", "2031-01-02");
    }
    if (endpoint.path().contains("/bin/")) {
      body.remove("publications");
    }
    if (endpoint.path().endsWith("/accounts/state")) {
      body.put("email", email(group.client(1)));
      body.put("ended", false);
    }
    if (endpoint.path().endsWith("/settings")) {
      body.put("version", group.client(0).get("/settings").ok().get("version").asInt());
      body.put("usualLimits", values.get("set"));
      body.put("reasons", List.of("not about lamps"));
      body.put("librarians", List.of(group.member(1).pid()));
      body.put("membersInvite", true);
    }
    if (endpoint.path().endsWith("/rights")) {
      body.put("openTo", "group");
      body.put("groupMay", "edit");
      body.put("named", List.of());
      body.put("version", rights().get("version").asInt());
    }
    if (endpoint.path().endsWith("/folders/{folder}/invitations")) {
      body.put("email", ASKED);
      body.put("may", "read");
    }
    if (endpoint.path().endsWith("/drive")) {
      body.putAll(driveAt(driveAddress));
    }
    if (endpoint.path().contains("/drive/")) {
      body.putAll(driveFile(values.get("folder")));
      body.put("over", false);
    }
    if (endpoint.path().contains("/vocabulary")) {
      body.put("file", "bW90aHM=");
    }
    if (endpoint.path().contains("/journals")) {
      body.put("file", "title,issn\nMoths of the fens,9999-1004\n");
    }
    if (endpoint.path().endsWith("/alerts/{alert}") || endpoint.path().endsWith("/alerts")) {
      body.put("asked", 1);
    }
    if (endpoint.path().endsWith("/bibliography/sendings")) {
      body.put("letter", new HashMap<>(body));
      body.put("annotations", "all");
      body.put("form", "docx");
    }
    if (endpoint.path().endsWith("/feeds")) {
      body.put("of", "alert:" + values.get("alert"));
    }
    if (endpoint.path().endsWith("/feeds/{feed}")) {
      body.put("marksSeen", true);
    }
    if (endpoint.path().endsWith("/feeds/{feed}/opened")) {
      body.put("publication", values.get("publication"));
    }
    if (endpoint.path().endsWith("/followed")) {
      body.putAll(followed());
    }
    if (endpoint.path().endsWith("/followed/look")) {
      body.put("address", followedAddress);
    }
    if (endpoint.path().endsWith("/followed/list")) {
      body.put("list", "<opml version=\"2.0\"><body/></opml>");
    }
    if (endpoint.path().endsWith("/texts/fetched")) {
      body.remove("address");
    }
    if (endpoint.path().endsWith("/search")) {
      body.remove("search");
    }
    if (List.of("search", "count", "sources", "ways-out", "cql", "leaf", "change", "glance")
        .contains(last(endpoint.path()))) {
      body.remove("strategy");
    }
    return body;
  }
}
