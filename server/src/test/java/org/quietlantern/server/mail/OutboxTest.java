package org.quietlantern.server.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.quietlantern.standins.mail.MailDrop;
import org.quietlantern.standins.mail.MailFaults;
import org.springframework.jdbc.core.JdbcTemplate;

/** Letters over real SMTP: whatever the mail server does, nothing is lost. */
class OutboxTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);
  private final MailFaults faults = APP.outside().mail().faults();
  private final TestGroup group = APP.group("Cora Ordinator");
  private final Client cora = group.client(0);
  private final String email = UUID.randomUUID() + "@x.example";

  @AfterEach
  void right() {
    faults.set(MailFaults.Fault.NONE);
    faults.slow(Duration.ZERO);
  }

  private void write() {
    cora.post("/invitations", Map.of("email", email, "role", "member")).ok();
  }

  private String state(String column) {
    return database.queryForObject(
        "select " + column + " from outbox where recipient = ? order by id desc limit 1",
        String.class,
        email);
  }

  private List<MailDrop.Got> got() {
    return APP.outside().mail().gotBy(email);
  }

  private static void work() {
    APP.bean(MailJob.class).run();
  }

  @DisplayName("A slow server, and two who hand over: each letter goes once")
  @Test
  void slow() {
    faults.slow(Duration.ofMillis(700));
    for (int n = 0; n < 3; n++) {
      write();
    }
    CompletableFuture<Void> other = CompletableFuture.runAsync(OutboxTest::work);
    work();
    other.join();
    assertThat(got()).hasSize(3);
    assertThat(got().stream().map(MailDrop.Got::messageId)).doesNotHaveDuplicates();
  }

  private void soon() {
    database.update("update outbox set system_due = system_at where recipient = ?", email);
  }

  @DisplayName("Busy: tried again, later each time, and sent in the end; nothing twice")
  @Test
  void busy() {
    faults.set(MailFaults.Fault.BUSY);
    write();
    work();
    assertThat(state("state")).isEqualTo("waiting");
    assertThat(state("trouble")).contains("Too much to do");
    work();
    assertThat(state("tries")).as("not before its time").isEqualTo("1");
    soon();
    work();
    assertThat(state("tries")).isEqualTo("2");
    faults.set(MailFaults.Fault.NONE);
    soon();
    work();
    soon();
    work();
    assertThat(state("state")).isEqualTo("sent");
    assertThat(got()).hasSize(1);
  }

  @DisplayName("Nobody of that name: given up at once, and the coordinator sees why")
  @Test
  void nobody() {
    faults.set(MailFaults.Fault.NOBODY);
    write();
    work();
    var shown = cora.get("/invitations").ok().get(0);
    assertThat(shown.get("letter").asString()).isEqualTo("given up");
    assertThat(shown.get("trouble").asString()).contains("550", "nobody of that name");
    assertThat(state("body_text")).isEmpty();
  }

  @DisplayName("Given up after its tries, with what was said last")
  @Test
  void givenUp() {
    faults.set(MailFaults.Fault.BUSY);
    write();
    for (int n = 0; n < 9; n++) {
      soon();
      work();
    }
    assertThat(state("state")).isEqualTo("given up");
    assertThat(state("tries")).isEqualTo("8");
  }

  @DisplayName("The server leaves after it took the message: once more, under the same Message-ID")
  @Test
  void leaves() {
    faults.set(MailFaults.Fault.LEAVES_AFTER_DATA);
    write();
    work();
    assertThat(state("state")).isEqualTo("waiting");
    faults.set(MailFaults.Fault.NONE);
    soon();
    work();
    assertThat(got()).hasSize(2);
    assertThat(got().get(0).messageId()).isEqualTo(got().get(1).messageId());
  }

  @DisplayName("Killed while it talked: whoever comes next takes it up, when its time is over")
  @Test
  void killed() {
    write();
    database.update(
        "update outbox set tries = 1, system_due = system_due + interval '5 minutes'"
            + " where recipient = ?",
        email);
    work();
    assertThat(got()).isEmpty();
    soon();
    work();
    assertThat(got()).hasSize(1);
  }

  @DisplayName("What is not done is not told: a refused command leaves no letter")
  @Test
  void together() {
    for (int n = 0; n < Outbox.OF_A_GROUP; n++) {
      cora.post("/invitations", Map.of("email", n + email, "role", "member")).ok();
    }
    Map<String, Object> body = Map.of("email", email, "role", "member");
    assertThat(cora.post("/invitations", body).type()).isEqualTo("too-many-letters");
    assertThat(
            database.queryForObject(
                "select count(*) from outbox where recipient = ?", Integer.class, email))
        .isZero();
    assertThat(cora.get("/invitations").ok().findValuesAsString("email")).doesNotContain(email);
  }

  @DisplayName("Without a mail server nobody is asked, and whoever asks is told what to set")
  @Test
  void without() {
    try (TestApp app = new TestApp("--lantern.mail.server=")) {
      Client other = app.group("Olga Other").client(0);
      assertThat(other.post("/invitations", Map.of("email", email, "role", "guest")).type())
          .isEqualTo("no-mail");
    }
  }
}
