package org.quietlantern.server.request;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** T2: from asking for a copy to having it, with a library that answers over HTTP and by hand. */
class CopyRequestsTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private static final Set<String> USED = new HashSet<>();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private TestGroup group;
  private Client ada;
  private Client ben;

  @BeforeEach
  void found() {
    group = APP.group("Ada Asker", "Ben Joiner");
    ada = group.client(0);
    ben = group.client(1);
    lend(APP.outside().address() + "/lending/requests");
  }

  private void lend(String address) {
    Map<String, Object> lender =
        Map.of("name", "The library", "address", address, "kinds", new String[] {"article"});
    ada.write("PUT", "/lenders", Map.of("lenders", List.of(lender)), UUID.randomUUID()).ok();
  }

  /** A closed article whose DOI ends so that the library deals with it in a certain manner. */
  private String article(String lastFigures) {
    String pid =
        database
            .queryForList(
                "select pid from publication where fields->>'doi' ~ ? and fields->>'open' = 'false'"
                    + " and fields->>'kind' = 'ARTICLE' and canonical is null and grp is null"
                    + " and withdrawn is null order by id",
                String.class,
                "[" + lastFigures + "]$")
            .stream()
            .filter(USED::add)
            .findFirst()
            .orElseThrow();
    return pid;
  }

  private JsonNode ask(Client who, String pid) {
    String path = "/publications/" + pid + "/requests";
    return who.write("POST", path, Map.of("note", "chapter 2"), UUID.randomUUID()).ok();
  }

  private JsonNode only(Client who, String pid) {
    return who.get("/publications/" + pid + "/requests").ok().get(0);
  }

  /** The library's days pass too. */
  private void daysPass(int days) {
    APP.setClock(APP.bean(Calendar.class).now().plus(Duration.ofDays(days)));
    work();
  }

  private void work() {
    APP.bean(RequestJob.class).run();
  }

  @DisplayName("Asked, sent, delivered four days later, told to the group, expired when it is gone")
  @Test
  void delivered() {
    String pid = article("0-2");
    assertThat(ask(ada, pid).get("state").asString()).isEqualTo("asked");
    work();
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("sent");
    daysPass(3);
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("sent");
    assertThat(only(ada, pid).get("days").asInt()).isEqualTo(3);
    daysPass(1);
    JsonNode there = only(ben, pid);
    assertThat(there.get("state").asString()).isEqualTo("delivered");
    assertThat(there.get("link").asString()).contains("/lending/copies/");
    assertThat(there.get("mine").asBoolean()).isFalse();
    assertThat(ben.get("/changes?since=0").body()).contains("request.delivered");
    assertThat(ada.get("/publications/" + pid + "/ways").body()).contains("usually 4 days, of 1");
    assertThat(ada.get("/requests.csv").body()).contains("delivered,4,", "Ada Asker");
    assertThat(there.get("publication").get("way").get("what").asString()).isEqualTo("here");
    JsonNode copy = ben.get("/publications/" + pid + "/texts").ok().get("copies").get(0);
    assertThat(copy.get("origin").asString()).isEqualTo("delivered");
    assertThat(copy.get("by").asString()).isEqualTo("Ada Asker");
    assertThat(copy.get("licence").asString()).contains("own study");
    assertThat(copy.get("doubt")).isNull();
    Client other = APP.group("Olga Other").client(0);
    assertThat(other.get("/texts/" + copy.get("id").asString()).status()).isEqualTo(404);
    daysPass(15);
    assertThat(only(ada, pid).get("state").asString()).as("it is here").isEqualTo("delivered");
  }

  @DisplayName("A copy that must not be kept is shown where it is, and expires with it")
  @Test
  void shownOnly() {
    String pid = article("9");
    ask(ada, pid);
    work();
    daysPass(4);
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("delivered");
    assertThat(ada.get("/publications/" + pid + "/texts").ok().get("copies")).isEmpty();
    daysPass(15);
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("expired");
    assertThat(only(ada, pid).get("link")).isNull();
  }

  @DisplayName("Where the copy should be is something else: it says so, and is tried again")
  @Test
  void notThere() {
    lend("");
    String pid = article("0-2");
    String path = "/requests/" + ask(ada, pid).get("request").asString() + "/state";
    String wrong = APP.outside().address() + "/lending/copies/none.pdf";
    Map<String, Object> came = Map.of("state", "delivered", "link", wrong);
    ben.write("PUT", path, came, UUID.randomUUID()).ok();
    work();
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("delivered");
    assertThat(only(ada, pid).get("trouble").asString()).isNotBlank();
    assertThat(ada.get("/publications/" + pid + "/texts").ok().get("copies")).isEmpty();
  }

  @DisplayName("Asked twice in a group it is one request; whoever joined can leave it again")
  @Test
  void joined() {
    String pid = article("0-2");
    String first = ask(ada, pid).get("request").asString();
    UUID command = UUID.randomUUID();
    String path = "/publications/" + pid + "/requests";
    JsonNode second = ben.write("POST", path, Map.of("note", ""), command).ok();
    assertThat(second.get("request").asString()).isEqualTo(first);
    assertThat(second.get("joined").asBoolean()).isTrue();
    assertThat(only(ada, pid).get("wanted")).hasSize(2);
    ben.write("POST", path, Map.of("note", ""), command).ok();
    assertThat(only(ada, pid).get("wanted")).as("the same command again").hasSize(2);
    ben.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(only(ada, pid).get("wanted")).hasSize(1);
  }

  @DisplayName("Undone before the library has it, it was never asked; after that it goes on")
  @Test
  void undone() {
    String early = article("0-2");
    UUID command = UUID.randomUUID();
    ada.write("POST", "/publications/" + early + "/requests", Map.of("note", ""), command).ok();
    ada.post("/actions/" + command + "/undo", Map.of()).ok();
    work();
    assertThat(only(ada, early)).as("never asked").isNull();
    assertThat(ask(ada, early).get("joined").asBoolean()).as("asked anew").isFalse();

    String late = article("0-2");
    UUID sent = UUID.randomUUID();
    ada.write("POST", "/publications/" + late + "/requests", Map.of("note", ""), sent).ok();
    work();
    assertThat(ada.post("/actions/" + sent + "/undo", Map.of()).ok().toString())
        .contains("so that it goes on");
    assertThat(only(ada, late).get("state").asString()).isEqualTo("sent");
    assertThat(only(ada, late).get("mine").asBoolean()).isTrue();
  }

  @DisplayName("The library asks back, is answered, and delivers; another refuses with a reason")
  @Test
  void askedBack() {
    String pid = article("3");
    String request = ask(ada, pid).get("request").asString();
    work();
    daysPass(1);
    assertThat(only(ada, pid).get("question").asString()).contains("appendix");
    String answer = "/requests/" + request + "/answer";
    assertThat(ben.write("PUT", answer, Map.of("text", " "), UUID.randomUUID()).status())
        .isEqualTo(422);
    ben.write("PUT", answer, Map.of("text", "No, thank you."), UUID.randomUUID()).ok();
    work();
    daysPass(4);
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("delivered");
    assertThat(ada.write("PUT", answer, Map.of("text", "Yes"), UUID.randomUUID()).status())
        .as("it is over")
        .isEqualTo(409);

    String refused = article("7");
    ask(ada, refused);
    work();
    daysPass(1);
    assertThat(only(ada, refused).get("state").asString()).isEqualTo("refused");
    assertThat(only(ada, refused).get("reason").asString()).contains("bookbinder");
  }

  @DisplayName("A library that is away is told again; nothing is asked for twice")
  @Test
  void away() {
    lend("http://127.0.0.1:9/requests");
    String pid = article("0-2");
    ask(ada, pid);
    work();
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("asked");
    assertThat(only(ada, pid).get("trouble").asString()).isNotBlank();
    lend(APP.outside().address() + "/lending/requests");
    String request = only(ada, pid).get("id").asString();
    ada.write("PUT", "/requests/" + request + "/hurry", Map.of(), UUID.randomUUID()).ok();
    work();
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("sent");
    assertThat(only(ada, pid).get("trouble")).isNull();
  }

  @DisplayName("Without an address members tell how it stands, and can take it back")
  @Test
  void byHand() {
    lend("");
    String pid = article("0-2");
    String request = ask(ada, pid).get("request").asString();
    work();
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("asked");
    String path = "/requests/" + request + "/state";
    Map<String, Object> odd = Map.of("state", "delivered", "link", "javascript:alert(1)");
    assertThat(ada.write("PUT", path, odd, UUID.randomUUID()).status()).isEqualTo(422);
    UUID command = UUID.randomUUID();
    Map<String, Object> came = Map.of("state", "delivered", "link", "https://shelf.example/7");
    ben.write("PUT", path, came, command).ok();
    assertThat(only(ada, pid).get("link").asString()).isEqualTo("https://shelf.example/7");
    ben.post("/actions/" + command + "/undo", Map.of()).ok();
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("asked");
    ada.write("PUT", path, Map.of("state", "refused", "reason", "Lost."), UUID.randomUUID()).ok();
    assertThat(ada.write("PUT", path, came, UUID.randomUUID()).status()).isEqualTo(409);
  }

  @DisplayName(
      "A letter to the author is noted beside a request, and members say what became of it")
  @Test
  void letter() {
    String pid = article("0-2");
    UUID command = UUID.randomUUID();
    String path = "/publications/" + pid + "/letters";
    String letter = ada.write("POST", path, Map.of(), command).ok().get("request").asString();
    assertThat(ben.write("POST", path, Map.of(), UUID.randomUUID()).ok().get("joined").asBoolean())
        .isTrue();
    ask(ada, pid);
    work();
    JsonNode all = ada.get("/publications/" + pid + "/requests").ok();
    assertThat(all).hasSize(2);
    assertThat(all.get(1).get("author").asBoolean()).isTrue();
    assertThat(all.get(1).get("state").asString()).isEqualTo("sent");
    assertThat(all.get(1).get("wanted")).hasSize(2);
    daysPass(6);
    Map<String, Object> came = Map.of("state", "delivered", "link", "http://127.0.0.1:9/x.pdf");
    ben.write("PUT", "/requests/" + letter + "/state", came, UUID.randomUUID()).ok();
    JsonNode told = ada.get("/publications/" + pid + "/requests").ok().get(1);
    assertThat(told.get("state").asString()).isEqualTo("delivered");
    assertThat(told.get("days").asInt()).isEqualTo(6);
    assertThat(ada.get("/publications/" + pid + "/ways").body())
        .as("of libraries only")
        .contains("usually 6 days, of 1");

    String other = article("0-2");
    UUID slip = UUID.randomUUID();
    ada.write("POST", "/publications/" + other + "/letters", Map.of(), slip).ok();
    ada.post("/actions/" + slip + "/undo", Map.of()).ok();
    assertThat(ada.get("/publications/" + other + "/requests").ok()).isEmpty();
  }

  @DisplayName("What can be read is not asked for; other groups and guests have no part in it")
  @Test
  void refused() {
    String open =
        database.queryForObject(
            "select pid from publication where fields->>'open' = 'true' and canonical is null"
                + " and grp is null and withdrawn is null and fields->'copies' @> '[{\"version\": \"FINAL\", \"open\": true}]' limit 1",
            String.class);
    String path = "/publications/" + open + "/requests";
    Client.Response readable = ada.write("POST", path, Map.of("note", ""), UUID.randomUUID());
    assertThat(readable.status()).isEqualTo(409);
    assertThat(readable.body()).contains("It can be read: open to all");
    String preprint = article("0-2");
    database.update(
        "update publication set fields = fields || '{\"open\": true, \"copies\": [{\"address\":"
            + " \"https://early.example/1\", \"use\": \"FILE\", \"version\": \"PREPRINT\", \"open\": true}]}'"
            + " where pid = ?",
        preprint);
    assertThat(ask(ada, preprint).get("state").asString()).as("the final one").isEqualTo("asked");

    String pid = article("0-2");
    String request = ask(ada, pid).get("request").asString();
    Client other = APP.group("Olga Other").client(0);
    assertThat(other.get("/publications/" + pid + "/requests").ok()).isEmpty();
    assertThat(other.get("/requests").body()).doesNotContain(request);
    assertThat(
            other
                .write("PUT", "/requests/" + request + "/hurry", Map.of(), UUID.randomUUID())
                .status())
        .isEqualTo(404);
    Map<String, Object> dear =
        Map.of("name", "x", "address", "", "kinds", new String[] {}, "cost", " 4 € a copy ");
    UUID said = UUID.randomUUID();
    ada.write("PUT", "/lenders", Map.of("lenders", List.of(dear)), said).ok();
    assertThat(ben.get("/lenders").ok().get(0).get("cost").asString()).isEqualTo("4 € a copy");
    ada.post("/actions/" + said + "/undo", Map.of()).ok();
    assertThat(ben.get("/lenders").ok().get(0).get("cost").asString()).isEmpty();
    Map<String, Object> lender = Map.of("name", "x", "address", "", "kinds", new String[] {});
    assertThat(
            ben.write("PUT", "/lenders", Map.of("lenders", List.of(lender)), UUID.randomUUID())
                .status())
        .isEqualTo(403);
  }

  @DisplayName("All requests are reached by pages, with counts of all states")
  @Test
  void pages() {
    lend("");
    for (String pid :
        database.queryForList(
            "select pid from publication where fields->>'open' = 'false' and canonical is null"
                + " and grp is null and withdrawn is null order by id limit 60",
            String.class)) {
      ask(ada, pid);
    }
    JsonNode first = ada.get("/requests?mine=true").ok();
    assertThat(first.get("requests")).hasSize(50);
    assertThat(first.get("counts").get(0).get("n").asInt()).isEqualTo(60);
    JsonNode rest =
        ada.get("/requests?mine=true&before-request=" + first.get("next").asString()).ok();
    assertThat(rest.get("requests")).hasSize(10);
    assertThat(rest.get("next")).isNull();
    assertThat(ben.get("/requests?mine=true").ok().get("requests")).isEmpty();
    assertThat(ada.get("/requests?request-state=sent").ok().get("requests")).isEmpty();
  }

  private static Map<String, Object> lender(String name, String address, int until) {
    return Map.of(
        "name", name, "address", address, "kinds", List.of("article"), "until", until, "cost", "");
  }

  @DisplayName(
      "T2: the first library that takes it is asked; after its no the next, or as one wants")
  @Test
  void several() {
    String address = APP.outside().address() + "/lending/requests";
    Map<String, Object> none = lender("Old things", "", 1500);
    Map<String, Object> first = lender("The library", address, 2100);
    Map<String, Object> second = lender("By hand", "", 2100);
    Map<String, Object> all = Map.of("lenders", List.of(none, first, second));
    ada.write("PUT", "/lenders", all, UUID.randomUUID()).ok();
    String pid = article("7");
    String path = "/publications/" + pid;
    assertThat(ben.get(path + "/lenders").ok().findValuesAsString("name"))
        .containsExactly("The library", "By hand");
    ask(ada, pid);
    assertThat(only(ada, pid).get("lender").asString()).isEqualTo("The library");
    work();
    daysPass(4);
    assertThat(only(ada, pid).get("state").asString()).isEqualTo("refused");
    JsonNode offers = ben.get(path + "/lenders").ok();
    assertThat(offers.findValuesAsString("name")).containsExactly("By hand", "The library");
    assertThat(offers.get(1).get("inVain").asBoolean()).isTrue();
    ask(ben, pid);
    JsonNode again = only(ben, pid);
    assertThat(again.get("lender").asString()).isEqualTo("By hand");
    assertThat(again.get("byHand").asBoolean()).isTrue();
    daysPass(1);
    assertThat(only(ben, pid).get("state").asString())
        .as("nobody took it there")
        .isEqualTo("asked");
    String request = again.get("id").asString();
    Map<String, String> came = Map.of("state", "delivered");
    ben.write("PUT", "/requests/" + request + "/state", came, UUID.randomUUID()).ok();
    assertThat(ben.get(path + "/lenders").ok().get(0).get("usual").asString())
        .isEqualTo("usually a day, of 1");
    assertThat(ada.get("/requests.csv").body()).contains(",By hand,Ben Joiner", ",The library,Ada");

    String other = article("0-2");
    Map<String, String> wanted = Map.of("note", "", "lender", "By hand");
    String asks = "/publications/" + other + "/requests";
    ada.write("POST", asks, wanted, UUID.randomUUID()).ok();
    assertThat(only(ada, other).get("lender").asString()).isEqualTo("By hand");
    Map<String, String> odd = Map.of("note", "", "lender", "Old things");
    asks = "/publications/" + article("0-2") + "/requests";
    assertThat(ada.write("POST", asks, odd, UUID.randomUUID()).type()).isEqualTo("lender");
    Map<String, Object> twice = Map.of("lenders", List.of(first, first));
    assertThat(ada.write("PUT", "/lenders", twice, UUID.randomUUID()).type()).isEqualTo("name");
  }
}
