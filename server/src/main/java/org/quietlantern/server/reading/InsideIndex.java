package org.quietlantern.server.reading;

import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.quietlantern.core.search.InsideTexts;
import org.quietlantern.core.search.TextsIndex;
import org.quietlantern.server.matching.TextsInside;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * The words inside the texts of each group, in a folder a group that can be deleted at any time.
 * What is missing is taken in when somebody searches; whoever asks waits for a little of it, and is
 * answered from what is there for much.
 */
@Component
class InsideIndex implements TextsInside, AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(InsideIndex.class);
  private static final Duration PATIENCE = Duration.ofSeconds(2);

  /** Longer than any search of an alert. */
  private static final Duration LOOKED_AT = Duration.ofMinutes(5);

  /** Texts that are taken in together. */
  private static final int AT_ONCE = 50;

  private final TextMapper mapper;
  private final Calendar calendar;
  private final Path folder;
  private final Map<Integer, Group> groups = new ConcurrentHashMap<>();
  private final ExecutorService taking =
      Executors.newSingleThreadExecutor(
          work -> {
            Thread thread = new Thread(work, "inside-texts");
            thread.setDaemon(true);
            return thread;
          });

  InsideIndex(TextMapper mapper, Calendar calendar, LanternProperties properties) {
    this.mapper = mapper;
    this.calendar = calendar;
    this.folder = properties.data().resolve("inside");
  }

  /** The texts of one group, as far as they are taken in. */
  private static final class Group {
    private final TextsIndex index;
    private volatile int edition;
    private @Nullable Future<?> underWay;

    Group(TextsIndex index) {
      this.index = index;
    }

    InsideTexts now() {
      return index.now(Integer.toString(edition));
    }
  }

  @Override
  public int edition(int group) {
    return mapper.edition(group);
  }

  @Override
  public InsideTexts of(int group, int edition) {
    if (edition == 0) {
      return InsideTexts.NONE;
    }
    try {
      Group found = groups.computeIfAbsent(group, this::open);
      if (found.edition < edition) {
        await(follow(group, found, edition));
      }
      return found.now();
    } catch (RuntimeException broken) {
      LOG.error("texts of group {} cannot be searched", group, broken);
      return InsideTexts.NONE;
    }
  }

  private Group open(int group) {
    return new Group(
        TextsIndex.open(
            folder.resolve(Integer.toString(group)), calendar.installation().toString()));
  }

  private Future<?> follow(int group, Group found, int edition) {
    synchronized (found) {
      if (found.underWay == null || found.underWay.isDone()) {
        found.underWay = taking.submit(() -> take(group, found, edition));
      }
      return found.underWay;
    }
  }

  private static void await(Future<?> work) {
    try {
      work.get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
    } catch (TimeoutException stillAtIt) {
      LOG.debug("texts are still being taken in");
    } catch (ExecutionException failed) {
      LOG.error("texts could not be taken in and are tried again", failed.getCause());
    } catch (InterruptedException stopping) {
      Thread.currentThread().interrupt();
    }
  }

  /** Compares what is there with what should be; killed anywhere, it is made up for by the next. */
  private void take(int group, Group found, int edition) {
    int asked = Math.max(edition, mapper.edition(group));
    List<TextMapper.Searched> wanted = mapper.searched(group);
    Set<String> gone = found.index.keys();
    List<TextMapper.Searched> missing = new ArrayList<>();
    for (TextMapper.Searched text : wanted) {
      if (!gone.remove(key(text))) {
        missing.add(text);
      }
    }
    for (int from = 0; from == 0 || from < missing.size(); from += AT_ONCE) {
      List<TextsIndex.Entry> some =
          missing.subList(from, Math.min(missing.size(), from + AT_ONCE)).stream()
              .map(
                  text ->
                      new TextsIndex.Entry(
                          key(text), text.publication(), mapper.wordsOf(text.hash())))
              .toList();
      if (!some.isEmpty() || !gone.isEmpty()) {
        found.index.apply(some, new TreeSet<>(gone));
        gone.clear();
      }
    }
    found.index.forget(LOOKED_AT.toNanos());
    found.edition = asked;
  }

  private static String key(TextMapper.Searched text) {
    return text.publication() + "/" + text.hash();
  }

  @Override
  public void close() {
    taking.shutdownNow();
    try {
      if (!taking.awaitTermination(10, TimeUnit.SECONDS)) {
        LOG.warn("texts were still being taken in when the server stopped");
      }
    } catch (InterruptedException stopping) {
      Thread.currentThread().interrupt();
    }
    groups.values().forEach(group -> group.index.close());
  }
}
