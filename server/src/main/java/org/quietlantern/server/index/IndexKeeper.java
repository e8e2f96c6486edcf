package org.quietlantern.server.index;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;

/**
 * Keeps this process's copy of the catalogue in step with the database. The copy may be deleted at
 * any time; whatever it lacks is taken in from the numbers that it has not seen.
 */
@Service
public class IndexKeeper implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(IndexKeeper.class);
  private static final int BATCH = 500;
  private final Publications publications;
  private final IndexFeeder feeder;
  private final Calendar calendar;
  private final LanternProperties properties;
  private CatalogueIndex index;
  private ScheduledExecutorService following;
  private ScheduledFuture<?> task;

  IndexKeeper(
      Publications publications,
      IndexFeeder feeder,
      Calendar calendar,
      LanternProperties properties) {
    this.publications = publications;
    this.feeder = feeder;
    this.calendar = calendar;
    this.properties = properties;
  }

  /** A state that holds at least the change with this number; to be closed by the caller. */
  public Snapshot snapshot(long atLeast) {
    if (index.number() < atLeast) {
      catchUp();
    }
    return index.snapshot();
  }

  /** Takes in everything that is in the database now. */
  public synchronized void catchUp() {
    long latest = publications.latest();
    if (index.number() > latest) {
      LOG.warn("the index is ahead of the database and is made anew");
      index.empty();
    }
    boolean changed = false;
    while (index.number() < latest) {
      takeIn(latest);
      changed = true;
    }
    if (changed) {
      index.commit();
    }
  }

  private void takeIn(long latest) {
    List<Publications.Change> changes = publications.changes(index.number(), latest, BATCH);
    Map<Integer, Long> touched = new LinkedHashMap<>();
    changes.forEach(change -> touched.put(change.publication(), change.no()));
    IndexFeeder.Batch batch = feeder.batch(touched);
    long upTo = changes.isEmpty() ? latest : changes.get(changes.size() - 1).no();
    List<CatalogueIndex.SetAside> aside = new ArrayList<>(batch.aside());
    aside.addAll(index.apply(batch.put(), batch.remove(), upTo));
    publications.resolve(touched.keySet());
    aside.forEach(a -> publications.setAside(a.id(), touched.get(a.id()), a.why()));
  }

  @Override
  public synchronized void start() {
    index =
        CatalogueIndex.open(properties.data().resolve("index"), calendar.installation().toString());
    catchUp();
    following = Executors.newSingleThreadScheduledExecutor(work -> new Thread(work, "index"));
    task = following.scheduleWithFixedDelay(this::follow, 1, 1, TimeUnit.SECONDS);
  }

  private void follow() {
    try {
      catchUp();
    } catch (RuntimeException failed) {
      LOG.error("the index could not be brought up to date; it is tried again", failed);
    }
  }

  @Override
  public void stop() {
    task.cancel(false);
    following.shutdown();
    try {
      if (!following.awaitTermination(10, TimeUnit.SECONDS)) {
        LOG.warn("the index was still being fed when it was closed");
      }
    } catch (InterruptedException hurry) {
      Thread.currentThread().interrupt();
    }
    synchronized (this) {
      index.close();
      index = null;
    }
  }

  @Override
  public synchronized boolean isRunning() {
    return index != null;
  }

  /** Before anything that searches starts, and closed after it. */
  @Override
  public int getPhase() {
    return 0;
  }
}
