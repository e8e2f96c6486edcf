package org.quietlantern.server.matching;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;
import org.quietlantern.server.platform.Refusal;

class FairShareTest {
  private static final int EAGER = 1;
  private static final int COLLEAGUE = 2;
  private static final int STRANGER = 3;
  private final ExecutorService threads = Executors.newCachedThreadPool();
  private final FairShare share = new FairShare(2, Duration.ofSeconds(20));
  private final List<String> begun = new CopyOnWriteArrayList<>();

  @AfterEach
  void end() {
    threads.shutdownNow();
  }

  /** One that is at work until the gate opens. */
  private CompletableFuture<String> search(
      int member, int group, String name, CountDownLatch gate) {
    int before = begun.size() + share.waiting();
    CompletableFuture<String> search =
        CompletableFuture.supplyAsync(
            () ->
                share.take(
                    member,
                    group,
                    () -> {
                      begun.add(name);
                      await(gate);
                      return name;
                    }),
            threads);
    // In the order of the test.
    while (begun.size() + share.waiting() == before) {
      Thread.onSpinWait();
    }
    return search;
  }

  private static void await(CountDownLatch gate) {
    try {
      assertThat(gate.await(10, TimeUnit.SECONDS)).isTrue();
    } catch (InterruptedException stop) {
      throw new IllegalStateException(stop);
    }
  }

  @DisplayName("Twenty searches of one member take two places; whoever else comes has one at once")
  @Test
  void nobodyTakesAll() throws Exception {
    CountDownLatch gate = new CountDownLatch(1);
    List<CompletableFuture<String>> all = new ArrayList<>();
    for (int n = 0; n < 20; n++) {
      all.add(search(EAGER, 1, "eager " + n, gate));
    }
    assertThat(begun).containsExactly("eager 0", "eager 1");
    assertThat(share.waiting()).isEqualTo(18);
    assertThat(share.waitingOf(EAGER)).isEqualTo(18);
    assertThat(share.waitingOf(COLLEAGUE)).isZero();
    all.add(search(COLLEAGUE, 1, "colleague", gate));
    all.add(search(STRANGER, 2, "stranger", gate));
    assertThat(begun).containsExactly("eager 0", "eager 1", "colleague", "stranger");
    gate.countDown();
    CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(10, TimeUnit.SECONDS);
    assertThat(begun).hasSize(22);
    assertThat(share.waiting()).isZero();
  }

  @DisplayName("A group never has all places; within a member the order of coming holds")
  @Test
  void groupsAndOrder() throws Exception {
    CountDownLatch gate = new CountDownLatch(1);
    List<CompletableFuture<String>> all = new ArrayList<>();
    for (int member = 1; member <= 5; member++) {
      all.add(search(member, 1, "of one group", gate));
    }
    assertThat(begun).hasSize(3);
    all.add(search(9, 2, "of another", gate));
    assertThat(begun).hasSize(4).contains("of another");
    gate.countDown();
    CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(10, TimeUnit.SECONDS);

    begun.clear();
    CountDownLatch second = new CountDownLatch(1);
    List<CompletableFuture<String>> own = new ArrayList<>();
    for (int n = 0; n < 6; n++) {
      own.add(search(EAGER, 1, "eager " + n, second));
    }
    second.countDown();
    CompletableFuture.allOf(own.toArray(CompletableFuture[]::new)).get(10, TimeUnit.SECONDS);
    assertThat(begun.subList(0, 2)).containsExactly("eager 0", "eager 1");
    assertThat(begun).hasSize(6);
  }

  @DisplayName("Whose turn does not come in time is told so, and leaves no place behind")
  @Test
  void tooLong() throws Exception {
    FairShare hurried = new FairShare(2, Duration.ofMillis(50));
    CountDownLatch gate = new CountDownLatch(1);
    CountDownLatch within = new CountDownLatch(2);
    for (int n = 0; n < 2; n++) {
      threads.execute(
          () ->
              hurried.take(
                  EAGER,
                  1,
                  () -> {
                    within.countDown();
                    await(gate);
                    return "";
                  }));
    }
    await(within);
    assertThatThrownBy(() -> hurried.take(EAGER, 1, () -> "never"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("for its turn");
    assertThat(hurried.waiting()).isZero();
    gate.countDown();
    assertThat(hurried.take(STRANGER, 2, () -> "now")).isEqualTo("now");
  }

  @DisplayName("Whatever fails gives its place back; at no time are more at work than may be")
  @Test
  void placesAreGivenBack() throws Exception {
    AtomicInteger atWork = new AtomicInteger();
    AtomicInteger most = new AtomicInteger();
    Random dice = new Random(5);
    List<CompletableFuture<Void>> all = new ArrayList<>();
    for (int n = 0; n < 300; n++) {
      int member = dice.nextInt(6);
      boolean fails = dice.nextBoolean();
      all.add(
          CompletableFuture.runAsync(
                  () ->
                      share.take(
                          member,
                          member % 3,
                          () -> {
                            most.accumulateAndGet(atWork.incrementAndGet(), Math::max);
                            Thread.onSpinWait();
                            atWork.decrementAndGet();
                            if (fails) {
                              throw new IllegalArgumentException("no");
                            }
                            return "";
                          }),
                  threads)
              .handle((done, failed) -> null));
    }
    CompletableFuture.allOf(all.toArray(CompletableFuture[]::new)).get(20, TimeUnit.SECONDS);
    assertThat(most.get()).isBetween(1, 4);
    assertThat(share.waiting()).isZero();
    assertThat(share.take(EAGER, 1, () -> "free")).isEqualTo("free");
  }
}
