package org.quietlantern.server.digest;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.mail.MailJob;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.quietlantern.standins.mail.MailFaults;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/**
 * What waits, told by digests over real SMTP, to people whose days begin in Oslo (an hour before
 * UTC).
 */
class DigestWaitingTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Cora Ordinator", "Ben Member").guest("Gus Guest");
  private final Client cora = group.client(0);
  private final Client ben = group.client(1);
  private final String bens = ben.below("").get("/api/me").ok().get("email").asString();
  private final String work = group.find("moth*").get(0);
  private Instant midnight;

  /** Tomorrow in Oslo; what was there before is told. */
  @BeforeEach
  void anotherDay() {
    Calendar calendar = APP.bean(Calendar.class);
    Instant noon = calendar.now().plus(Duration.ofDays(1)).truncatedTo(ChronoUnit.DAYS);
    midnight = noon.plus(Duration.ofHours(23));
    APP.setClock(midnight.minus(Duration.ofHours(2)));
    APP.bean(Digests.class).run();
  }

  /** Lets it be so many hours after midnight in Oslo, and the jobs run. */
  private void at(double hours) {
    APP.setClock(midnight.plus(Duration.ofMinutes((long) (hours * 60))));
    APP.bean(Digests.class).run();
    APP.bean(MailJob.class).run();
  }

  private static List<MailDrop.Got> got(String email) {
    return APP.outside().mail().gotBy(email);
  }

  private String mention(String text) {
    return cora.post("/publications/" + work + "/remarks", Map.of("text", text))
        .ok()
        .get("id")
        .asString();
  }

  private void ask(String text) {
    cora.post(
            "/questions", Map.of("to", group.member(1).pid(), "text", text, "place", "/p/" + work))
        .ok();
  }

  @DisplayName("At seven, once, what mentions and what asks; the next day only what came since")
  @Test
  void onceADay() {
    mention("@Ben which lamps? <b>");
    ask("Is this\r\nBcc: all@x.example");
    at(6.9);
    assertThat(got(bens)).isEmpty();
    at(7);
    at(8);
    assertThat(got(bens)).hasSize(1);
    MailDrop.Got letter = got(bens).get(0);
    assertThat(letter.subject()).startsWith("Some things wait for you in “Group ");
    assertThat(letter.text())
        .contains("Cora Ordinator mentions you at “", "@Ben which lamps? <b>", "/p/" + work)
        .contains("Cora Ordinator asks you", "/questions/", "/account");
    assertThat(letter.html()).contains("@Ben which lamps? &lt;b&gt;");
    at(24 + 8);
    assertThat(got(bens)).as("nothing came since").hasSize(1);
    mention("@Ben and these?");
    at(48 + 8);
    assertThat(got(bens)).hasSize(2);
    assertThat(got(bens).get(1).text()).contains("and these?").doesNotContain("which lamps?");
    String coras = cora.below("").get("/api/me").ok().get("email").asString();
    assertThat(got(coras)).as("nobody is told of what they said").isEmpty();
  }

  @DisplayName("What was looked at, taken back or settled meanwhile is not told")
  @Test
  void dealtWith() {
    String seen = mention("@Ben first");
    ben.put("/remarks/" + seen + "/looked-at", Map.of("lookedAt", true)).ok();
    String gone = mention("@Ben second");
    cora.write("DELETE", "/remarks/" + gone, Map.of(), UUID.randomUUID()).ok();
    at(8);
    assertThat(got(bens)).isEmpty();
  }

  @DisplayName("At an hour of one's own, in a zone of one's own, or not at all")
  @Test
  void ownHour() {
    settings("Europe/Oslo", true, "16:30").ok();
    mention("@Ben now?");
    at(16);
    assertThat(got(bens)).isEmpty();
    at(16.5);
    assertThat(got(bens)).hasSize(1);
    settings("Asia/Tokyo", true, "16:30").ok();
    mention("@Ben in Tokyo");
    at(24 + 8.4);
    assertThat(got(bens)).hasSize(1);
    at(24 + 8.5);
    assertThat(got(bens)).hasSize(2);
    settings("Asia/Tokyo", false, "16:30").ok();
    mention("@Ben no more");
    at(72);
    assertThat(got(bens)).hasSize(2);
    assertThat(settings("Asia/Nowhere", true, "07:00").status()).isEqualTo(422);
    assertThat(settings("Asia/Tokyo", true, "25:00").status()).isEqualTo(400);
    JsonNode now = ben.below("").get("/api/me/settings").ok();
    assertThat(now.get("letters").asBoolean()).isFalse();
  }

  private Client.Response settings(String zone, boolean letters, String hour) {
    return ben.below("")
        .write(
            "PUT",
            "/api/me/settings",
            Map.of(
                "zone",
                zone,
                "letters",
                letters,
                "letterDays",
                List.of(1, 2, 3, 4, 5, 6, 7),
                "letterHours",
                List.of(hour),
                "lettersAtOnce",
                false,
                "lettersOfNothing",
                false),
            UUID.randomUUID());
  }

  private String task(Client who, Map<String, Object> noted) {
    return who.post("/tasks", noted).ok().get("id").asString();
  }

  @DisplayName("What somebody is given to look up, and on its day again; what they took is no news")
  @Test
  void tasks() {
    String me = group.member(1).pid();
    LocalDate tomorrow = midnight.atZone(ZoneId.of("Europe/Oslo")).toLocalDate().plusDays(1);
    task(cora, Map.of("text", "Which lamps?", "owner", me, "due", tomorrow.toString()));
    String taken = task(cora, Map.of("text", "Which roads?"));
    ben.put("/tasks/" + taken + "/owner", Map.of("owner", me, "version", 1)).ok();
    task(cora, Map.of("text", "Nobody's"));
    at(8);
    assertThat(got(bens)).hasSize(1);
    assertThat(got(bens).get(0).text())
        .contains("Cora Ordinator gives you something to look up", "Which lamps?", "tasks?of=mine")
        .doesNotContain("Which roads?", "Nobody's", "by today");
    at(24 + 8);
    assertThat(got(bens)).hasSize(2);
    assertThat(got(bens).get(1).text())
        .contains("It is to be looked up by today", "Which lamps?")
        .doesNotContain("Cora Ordinator gives you");
    at(48 + 8);
    assertThat(got(bens)).hasSize(2);
  }

  @DisplayName("A guest of a folder is told of what mentions them where they see it, nowhere else")
  @Test
  void folderGuest() {
    String folder = group.folder("Shared");
    String hidden = group.find("bat*").get(0);
    cora.post("/folders/" + folder + "/items", Map.of("publications", List.of(work), "note", ""))
        .ok();
    group.folderGuest("Fola Folders", folder, "remark");
    String folas = group.client(3).below("").get("/api/me").ok().get("email").asString();
    at(1);
    mention("@Fola what do you see?");
    cora.post("/publications/" + hidden + "/remarks", Map.of("text", "@Fola and not this")).ok();
    at(8);
    assertThat(got(folas)).hasSize(1);
    assertThat(got(folas).get(0).text())
        .contains("what do you see?", "/p/" + work, "/folders")
        .doesNotContain("not this", hidden, "/today");
  }

  @DisplayName("A letter tells twenty of a sort and says that there is more")
  @Test
  void more() {
    IntStream.range(0, 20).forEach(n -> mention("@Ben number " + n));
    at(8);
    assertThat(got(bens).get(0).text())
        .contains("number 0", "number 19")
        .doesNotContain("There is more of");
    IntStream.range(20, 41).forEach(n -> mention("@Ben number " + n));
    at(24 + 8);
    assertThat(got(bens).get(1).text())
        .contains("There is more of it than this letter tells.")
        .doesNotContain("number 20\n");
  }

  @DisplayName("Two processes at the same moment write one; whoever left gets none")
  @Test
  void atOnce() {
    mention("@Ben at once");
    String gone = group.client(2).below("").get("/api/me").ok().get("email").asString();
    mention("@Gus before you leave");
    cora.write("DELETE", "/members/" + group.member(2).pid(), Map.of(), UUID.randomUUID()).ok();
    APP.setClock(midnight.plus(Duration.ofHours(8)));
    CompletableFuture.allOf(
            IntStream.range(0, 4)
                .mapToObj(n -> CompletableFuture.runAsync(APP.bean(Digests.class)::run))
                .toArray(CompletableFuture[]::new))
        .join();
    APP.bean(MailJob.class).run();
    assertThat(got(bens)).hasSize(1);
    assertThat(got(gone)).isEmpty();
  }

  @DisplayName("A mail server that is down loses nothing and makes no second letter")
  @Test
  void down() {
    MailFaults faults = APP.outside().mail().faults();
    faults.set(MailFaults.Fault.BUSY);
    mention("@Ben later");
    at(8);
    faults.set(MailFaults.Fault.NONE);
    assertThat(got(bens)).isEmpty();
    APP.bean(JdbcTemplate.class)
        .update("update outbox set system_due = system_at where recipient = ?", bens);
    at(9);
    assertThat(got(bens)).hasSize(1);
  }
}
