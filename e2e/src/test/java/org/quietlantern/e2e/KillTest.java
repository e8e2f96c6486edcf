package org.quietlantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** A power cut between harvest and matching, of one server or of one of two. */
class KillTest {
  private static final String FOUND = "select count(*) from finding";
  private static final String RUNNING =
      "select picked from scheduled_tasks where task_name = 'watch'";
  private static final String CAUGHT_UP =
      "select min(number) >= (select max(no) from publication_change) from alert";
  private static final String BEHIND =
      "select (select max(no) from publication_change) > (select max(number) from alert)"
          + " and not exists (select 1 from harvest where state = 'running')";

  @DisplayName("Killed between harvest and matching, started again: each arrival exactly once")
  @Test
  void killedInBetween() {
    try (Lantern lantern = Lantern.prepared();
        Chromium chromium = new Chromium();
        Person ilse = new Person(chromium.browser(), lantern)) {
      Before before = Before.of(lantern);
      aWeekLater(lantern, ilse, lantern::kill);
      assertThat(lantern.query(FOUND)).isEqualTo(Integer.toString(before.found()));
      lantern.start();
      waitUntil(() -> lantern.query(CAUGHT_UP).equals("t"));
      ilse.page().navigate(lantern.address());
      ilse.page().getByLabel("Waits for you").waitFor();
      ilse.button("a week later").click();
      ilse.page().getByText("came or changed").waitFor();
      eachOnce(lantern, before);
    }
  }

  @DisplayName(
      "Two servers, one killed while it runs the alerts: the other does, each exactly once")
  @Test
  void anotherTakesOver() throws InterruptedException {
    List<Process> another = new ArrayList<>();
    try (Lantern lantern = Lantern.prepared();
        Chromium chromium = new Chromium();
        Person ilse = new Person(chromium.browser(), lantern)) {
      Before before = Before.of(lantern);
      aWeekLater(
          lantern,
          ilse,
          () -> {
            waitUntil(() -> lantern.query(RUNNING).equals("t"));
            another.add(lantern.another());
            lantern.kill();
          });
      waitUntil(() -> lantern.query(CAUGHT_UP).equals("t"));
      eachOnce(lantern, before);
    } finally {
      for (Process one : another) {
        one.destroyForcibly().waitFor();
      }
    }
  }

  /** How many were found, and the last change. */
  private record Before(int found, String change) {
    static Before of(Lantern lantern) {
      return new Before(
          Integer.parseInt(lantern.query(FOUND)),
          lantern.query("select max(no) from publication_change"));
    }
  }

  /** A week passes while nothing can be matched, for somebody else holds the alerts. */
  private static void aWeekLater(Lantern lantern, Person ilse, Runnable meanwhile) {
    ilse.signIn("ilse");
    try (Lantern.Session lock = lantern.session()) {
      lock.run("begin; select id from alert for update;");
      ilse.button("a week later").click();
      waitUntil(() -> lantern.query(BEHIND).equals("t"));
      meanwhile.run();
    }
  }

  /** Nothing twice, and nothing lost of what came after a change. */
  private static void eachOnce(Lantern lantern, Before before) {
    String once =
        "select count(*) from (select f.alert, o.publication from finding f"
            + " join arrival r on r.id = f.arrival join occasion o on o.id = r.occasion"
            + " group by 1, 2, o.kind, o.key having count(*) > 1) twice";
    assertThat(lantern.query(once)).isEqualTo("0");
    String lost =
        "select count(*) from publication_change c join publication p on p.id = c.publication"
            + " where c.no > "
            + before.change()
            + " and c.kinds = '{new}' and p.withdrawn is null and p.canonical is null"
            + " and (p.fields->>'title' ~* '\\m(bat|pipistrelle|noctule)')"
            + " and not exists (select 1 from occasion o join arrival r on r.occasion = o.id"
            + " join finding f on f.arrival = r.id where o.publication = p.id)";
    assertThat(lantern.query(lost)).isEqualTo("0");
    assertThat(Integer.parseInt(lantern.query(FOUND))).isGreaterThan(before.found());
  }

  private static void waitUntil(BooleanSupplier reached) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(180);
    while (!reached.getAsBoolean()) {
      assertThat(System.nanoTime()).as("not reached in three minutes").isLessThan(end);
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
    }
  }
}
