package org.quietlantern.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.support.TestApp;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** The one door, on a database of its own. */
class CatalogueTest {
  @RegisterExtension private static final TestApp APP = new TestApp();
  private final Catalogue catalogue = APP.bean(Catalogue.class);
  private final TransactionTemplate transaction = APP.bean(TransactionTemplate.class);
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);

  private static SourceRecord record(String id, String title) {
    String raw =
        "<mods xmlns=\"http://www.loc.gov/mods/v3\"><titleInfo><title>%s</title></titleInfo><genre>article</genre></mods>"
            .formatted(title);
    return new SourceRecord(id, "mods", raw, "2026-11-20", false);
  }

  private static SourceRecord gone(String id) {
    return new SourceRecord(id, "mods", "", "2026-11-21", true);
  }

  private int take(SourceRecord... records) {
    return transaction.execute(status -> catalogue.take(1, List.of(records)));
  }

  private List<String> kinds(String identifier) {
    return database.queryForList(
        "select c.kinds[1] from publication_change c join source_record r using (publication)"
            + " where r.identifier = ? order by c.no",
        String.class,
        identifier);
  }

  @DisplayName("Only what changed makes a number; what is gone comes back under its old id")
  @Test
  void theLifeOfARecord() {
    assertThat(take(record("life", "A moth"))).isEqualTo(1);
    assertThat(take(record("life", "A moth"))).isZero();
    assertThat(take(record("life", "A mothh"), record("life", "The moth"))).isEqualTo(1);
    assertThat(take(gone("life"))).isEqualTo(1);
    assertThat(take(gone("life"))).isZero();
    assertThat(take(record("life", "The moth"))).isEqualTo(1);
    assertThat(kinds("life")).containsExactly("new", "text", "withdrawn", "returned");
    assertThat(
            database.queryForObject(
                "select fields->>'title' from publication p join source_record r on r.publication = p.id"
                    + " where r.identifier = 'life' and p.withdrawn is null",
                String.class))
        .isEqualTo("The moth");
  }

  @DisplayName("A record that cannot be read is kept and named, the others go on")
  @Test
  void unreadable() {
    SourceRecord broken = new SourceRecord("broken", "mods", "<mods", "2026-11-20", false);
    assertThat(take(broken, record("fine", "A bat"))).isEqualTo(1);
    assertThat(
            database.queryForObject(
                "select problems[1] from source_record where identifier = 'broken'", String.class))
        .startsWith("not well-formed XML");
    assertThat(take(record("broken", "Mended"))).isEqualTo(1);
    assertThat(take(gone("never seen"))).isZero();
  }

  @DisplayName(
      "The order of numbers is the order of commits: nobody sees a later one before an earlier")
  @Test
  void numbersAreInCommitOrder()
      throws InterruptedException, TimeoutException, java.util.concurrent.ExecutionException {
    CountDownLatch inside = new CountDownLatch(1);
    CountDownLatch leave = new CountDownLatch(1);
    CompletableFuture<Long> slow =
        CompletableFuture.supplyAsync(
            () ->
                transaction.execute(
                    status -> {
                      catalogue.take(1, List.of(record("slow", "Slow")));
                      inside.countDown();
                      awaitQuietly(leave);
                      return latestOf("slow");
                    }));
    assertThat(inside.await(20, TimeUnit.SECONDS)).isTrue();
    CompletableFuture<Long> quick =
        CompletableFuture.supplyAsync(
            () -> {
              take(record("quick", "Quick"));
              return latestOf("quick");
            });
    assertThat(quick.completeOnTimeout(-1L, 400, TimeUnit.MILLISECONDS).get(5, TimeUnit.SECONDS))
        .as("the second waits at the door")
        .isEqualTo(-1L);
    leave.countDown();
    long first = slow.get(20, TimeUnit.SECONDS);
    take(record("third", "Third"));
    assertThat(latestOf("quick")).isGreaterThan(first);
  }

  private long latestOf(String identifier) {
    return database.queryForObject(
        "select max(c.no) from publication_change c join source_record r using (publication)"
            + " where r.identifier = ?",
        Long.class,
        identifier);
  }

  private static void awaitQuietly(CountDownLatch latch) {
    try {
      if (!latch.await(20, TimeUnit.SECONDS)) {
        throw new IllegalStateException("nobody let it go on");
      }
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  @Test
  void moreThanFiveHundredRecordsAreNotTakenAtOnce() {
    List<SourceRecord> many =
        IntStream.range(0, 501).mapToObj(i -> record("many" + i, "T")).toList();
    org.assertj.core.api.Assertions.assertThatThrownBy(
            () -> transaction.execute(status -> catalogue.take(1, many)))
        .hasMessage("more than 500 records: 501");
  }
}
