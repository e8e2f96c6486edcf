package org.quietlantern.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.support.TestApp;
import org.quietlantern.server.support.TestGroup;

/** What happens to work that nobody waits for any more. */
class PresenceTest {
  private static final TestApp APP = TestApp.shared();
  private static final int PLACES_OF_A_MEMBER = 2;
  private final TestGroup group = APP.group("Petra Presence");
  private final Member petra = group.member(0);
  private final Matching matching = APP.bean(Matching.class);

  @DisplayName("A search whose client hangs up gives its place in the queue back; others go on")
  @Test
  void hangsUpWhileItWaits() throws Exception {
    CountDownLatch gate = new CountDownLatch(1);
    List<CompletableFuture<Void>> working = new ArrayList<>();
    for (int n = 0; n < PLACES_OF_A_MEMBER; n++) {
      working.add(CompletableFuture.runAsync(() -> matching.look(petra, look -> waitFor(gate))));
    }
    try (Socket staying = asks()) {
      try (Socket leaving = asks()) {
        until(() -> matching.waitingOf(petra) == 2);
        assertThat(leaving.isConnected()).isTrue();
      }
      until(() -> matching.waitingOf(petra) == 1);
      gate.countDown();
      byte[] answer = staying.getInputStream().readNBytes("HTTP/1.1 200".length());
      assertThat(new String(answer, StandardCharsets.US_ASCII)).isEqualTo("HTTP/1.1 200");
    }
    CompletableFuture.allOf(working.toArray(CompletableFuture[]::new)).get(10, TimeUnit.SECONDS);
    assertThat(matching.waitingOf(petra)).isZero();
  }

  /** A search is asked for and its answer not read. */
  private Socket asks() throws IOException {
    URI address = URI.create(APP.address());
    Socket socket = new Socket(address.getHost(), address.getPort());
    String request =
        "GET /api/groups/%s/search/suggestions?typed=mo HTTP/1.1\r\nHost: lantern.test\r\nCookie: %s\r\n\r\n"
            .formatted(group.pid(), group.client(0).cookies());
    socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
    return socket;
  }

  private static boolean waitFor(CountDownLatch gate) {
    try {
      return gate.await(20, TimeUnit.SECONDS);
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  private static void until(BooleanSupplier holds) throws InterruptedException {
    for (int tries = 0; tries < 100 && !holds.getAsBoolean(); tries++) {
      Thread.sleep(100);
    }
    assertThat(holds.getAsBoolean()).isTrue();
  }
}
