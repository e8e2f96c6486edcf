package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;
import org.springframework.jdbc.core.JdbcTemplate;

/** On an application of its own: it breaks its source and deletes its index. */
class HarvestTest {
  @RegisterExtension private static final TestApp APP = new TestApp();
  private final JdbcTemplate database = APP.bean(JdbcTemplate.class);

  private int count(String what) {
    return database.queryForObject("select count(*) from " + what, Integer.class);
  }

  @DisplayName("A source that stops half-way: it says so, loses nothing, and goes on")
  @Test
  void theWholeWay() throws java.io.IOException {
    APP.faults().breakAfter(1);
    Harvests.Outcome broken = APP.workOff().get(0);
    assertThat(broken.error()).contains("breaks off");
    assertThat(broken.taken()).isEqualTo(200);
    assertThat(count("source_record")).isEqualTo(200);

    Harvests.Outcome rest = APP.workOff().get(0);
    assertThat(rest.error()).isEmpty();
    assertThat(rest.taken()).as("goes on from its page").isBetween(30, 199);
    assertThat(count("source_record")).isEqualTo(200 + rest.taken());
    assertThat(count("harvest")).isEqualTo(1);

    int changes = count("publication_change");
    assertThat(APP.workOff().get(0).changed()).as("the overlap brings nothing new").isZero();
    assertThat(count("publication_change")).isEqualTo(changes);

    for (int fortnight = 1; fortnight <= 10; fortnight++) {
      APP.setClock(TestApp.BEGINS.plus(Duration.ofDays(14L * fortnight)));
      APP.workOff();
    }
    assertThat(count("publication where withdrawn is not null")).isPositive();
    assertThat(count("publication_change where not kinds && '{new,withdrawn}'")).isPositive();
    assertThat(count("source_record where deleted and publication is not null"))
        .isEqualTo(count("publication where withdrawn is not null"));
    assertThat(count("source_record where raw = '' and publication is not null"))
        .as("kept as supplied")
        .isZero();
    withdrawnAreNotFound();
    theIndexCanBeDeleted();
  }

  private void withdrawnAreNotFound() {
    TestGroup group = APP.group("Hanna Harvest");
    String title =
        database.queryForObject(
            "select fields->>'title' from publication where withdrawn is not null limit 1",
            String.class);
    assertThat(group.find("title: \"" + title.replaceAll("[^\\p{L}\\p{N} -]", " ") + "\""))
        .isEmpty();
  }

  private static void theIndexCanBeDeleted() throws java.io.IOException {
    TestGroup group = APP.group("Hugo Harvest");
    List<String> before = group.find("moth or bat");
    IndexKeeper keeper = APP.bean(IndexKeeper.class);
    keeper.stop();
    Path index = APP.data().resolve("index");
    try (Stream<Path> files = Files.walk(index)) {
      for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
        Files.delete(file);
      }
    }
    keeper.start();
    assertThat(group.find("moth or bat")).hasSameElementsAs(before).hasSameSizeAs(before);
  }
}
