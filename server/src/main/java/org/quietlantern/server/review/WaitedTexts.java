package org.quietlantern.server.review;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.stereotype.Component;

/**
 * Looks for texts that are waited for wherever a group may read others than before: its library
 * holds more, a copy came, a day passed. What changes in the catalogue itself is followed there
 * ({@link OpenPoints#follow}).
 */
@Component
public class WaitedTexts implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(WaitedTexts.class);
  private final OpenPoints points;
  private final ReadableTexts texts;

  /** As of what was looked last, by group; nothing is lost with it but a look. */
  private final Map<Integer, String> looked = new ConcurrentHashMap<>();

  WaitedTexts(OpenPoints points, ReadableTexts texts) {
    this.points = points;
    this.texts = texts;
  }

  @Override
  public String name() {
    return "texts";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(15);
  }

  @Override
  public void run() {
    List<Integer> waiting = points.groupsThatWait();
    looked.keySet().retainAll(waiting);
    waiting.forEach(this::look);
  }

  private void look(int group) {
    String now = texts.asOf(group);
    if (now.equals(looked.get(group))) {
      return;
    }
    try {
      points.lookForTexts(group);
      looked.put(group, now);
    } catch (ConcurrencyFailureException met) {
      LOG.info("texts that are waited for met a mark; they are looked for at the next turn");
    }
  }
}
