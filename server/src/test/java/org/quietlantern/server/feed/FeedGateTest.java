package org.quietlantern.server.feed;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.util.Map;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.quietlantern.server.support.Client;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

class FeedGateTest {
  @RegisterExtension private static final TestApp APP = TestApp.own();
  private final TestGroup group = APP.group("Gro Gate");
  private final Client gro = group.client(0);
  private final Client reader = new Client(APP.address());

  private String address() {
    return URI.create(gro.post("/feeds", Map.of("of", "alerts")).ok().get("address").asString())
        .getPath();
  }

  @DisplayName("A feed asked for a thousand times: some answers, then 429; its state still answers")
  @Test
  void tooOften() {
    String address = address();
    Client.Response first = reader.get(address);
    assertThat(first.status()).isEqualTo(200);
    int refused = 0;
    for (int n = 0; n < 1_000; n++) {
      Client.Response answer = reader.get(address);
      assertThat(answer.status()).isIn(200, 429);
      if (answer.status() == 429) {
        refused++;
        assertThat(answer.header("Retry-After")).isEqualTo("60");
      }
    }
    assertThat(refused).isGreaterThanOrEqualTo(1_000 - 2 * FeedGate.READS);
    assertThat(reader.get(address, "If-None-Match", first.header("ETag")).status()).isEqualTo(304);
    assertThat(gro.get("/feeds").ok()).hasSize(1);
  }

  @DisplayName("Addresses guessed: nothing there, and after a hundred not even that")
  @Test
  void guessed() {
    int nothing = 0;
    int refused = 0;
    for (int n = 0; n < 300; n++) {
      int status = reader.get("/feed/0000000000/guess%d.atom".formatted(n)).status();
      nothing += status == 404 ? 1 : 0;
      refused += status == 429 ? 1 : 0;
    }
    assertThat(nothing + refused).isEqualTo(300);
    assertThat(nothing).isLessThanOrEqualTo(2 * FeedGate.MISSES);
    assertThat(refused).isPositive();
  }
}
