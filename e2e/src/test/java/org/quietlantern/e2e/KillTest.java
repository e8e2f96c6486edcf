package org.quietlantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** A power cut between harvest and matching. */
class KillTest {
  private static final String BEHIND =
      "select (select max(no) from publication_change) > (select max(number) from alert)"
          + " and not exists (select 1 from harvest where state = 'running')";

  @DisplayName("Killed between harvest and matching, started again: each arrival exactly once")
  @Test
  void killedInBetween() {
    try (Lantern lantern = Lantern.prepared();
        Chromium chromium = new Chromium();
        Person ilse = new Person(chromium.browser(), lantern)) {
      ilse.signIn("ilse");
      String found = "select count(*) from finding";
      int before = Integer.parseInt(lantern.query(found));
      String changes = lantern.query("select max(no) from publication_change");
      try (Lantern.Session lock = lantern.session()) {
        // Nothing can be matched while somebody else holds the alerts.
        lock.run("begin; select id from alert for update;");
        ilse.button("a week later").click();
        waitUntil(() -> lantern.query(BEHIND).equals("t"));
        lantern.kill();
      }
      assertThat(lantern.query(found)).isEqualTo(Integer.toString(before));
      lantern.start();
      waitUntil(
          () ->
              lantern
                  .query(
                      "select min(number) >= (select max(no) from publication_change) from alert")
                  .equals("t"));
      ilse.page().navigate(lantern.address());
      ilse.page().getByLabel("Waits for you").waitFor();
      ilse.button("a week later").click();
      ilse.page().getByText("came or changed").waitFor();

      eachOnce(lantern, changes);
      assertThat(Integer.parseInt(lantern.query(found))).isGreaterThan(before);
    }
  }

  @DisplayName(
      "Two servers, one killed while it runs the alerts: the other does, each exactly once")
  @Test
  void anotherTakesOver() throws InterruptedException {
    try (Lantern lantern = Lantern.prepared();
        Chromium chromium = new Chromium();
        Person ilse = new Person(chromium.browser(), lantern)) {
      ilse.signIn("ilse");
      String found = "select count(*) from finding";
      int before = Integer.parseInt(lantern.query(found));
      String changes = lantern.query("select max(no) from publication_change");
      Process another;
      try (Lantern.Session lock = lantern.session()) {
        lock.run("begin; select id from alert for update;");
        ilse.button("a week later").click();
        waitUntil(() -> lantern.query(BEHIND).equals("t"));
        waitUntil(
            () ->
                lantern
                    .query("select picked from scheduled_tasks where task_name = 'watch'")
                    .equals("t"));
        another = lantern.another();
        lantern.kill();
      }
      try {
        waitUntil(
            () ->
                lantern
                    .query(
                        "select min(number) >= (select max(no) from publication_change) from alert")
                    .equals("t"));
        eachOnce(lantern, changes);
        assertThat(Integer.parseInt(lantern.query(found))).isGreaterThan(before);
      } finally {
        another.destroyForcibly().waitFor();
      }
    }
  }

  /** Nothing twice, and nothing lost of what came after a change. */
  private static void eachOnce(Lantern lantern, String changes) {
    String once =
        "select count(*) from (select f.alert, o.publication from finding f"
            + " join arrival r on r.id = f.arrival join occasion o on o.id = r.occasion"
            + " group by 1, 2, o.kind, o.key having count(*) > 1) twice";
    assertThat(lantern.query(once)).isEqualTo("0");
    String lost =
        "select count(*) from publication_change c join publication p on p.id = c.publication"
            + " where c.no > "
            + changes
            + " and c.kinds = '{new}' and p.withdrawn is null and p.canonical is null"
            + " and (p.fields->>'title' ~* '\\m(bat|pipistrelle|noctule)')"
            + " and not exists (select 1 from occasion o join arrival r on r.occasion = o.id"
            + " join finding f on f.arrival = r.id where o.publication = p.id)";
    assertThat(lantern.query(lost)).isEqualTo("0");
  }

  private static void waitUntil(BooleanSupplier reached) {
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(180);
    while (!reached.getAsBoolean()) {
      assertThat(System.nanoTime()).as("not reached in three minutes").isLessThan(end);
      LockSupport.parkNanos(TimeUnit.MILLISECONDS.toNanos(50));
    }
  }
}
