package org.quietlantern.server.index;

import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.apache.lucene.store.AlreadyClosedException;
import org.quietlantern.core.search.CatalogueIndex;
import org.quietlantern.core.search.Snapshot;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;

/**
 * Keeps this process's copy of the catalogue in step with the database. The copy may be deleted at
 * any time, also while it is used: it is then searched as it was, until another has been made that
 * holds everything. Whatever a copy lacks is taken in from the numbers that it has not seen.
 */
@Service
public class IndexKeeper implements SmartLifecycle {
  private static final Logger LOG = LoggerFactory.getLogger(IndexKeeper.class);
  private static final int BATCH = 1_000;

  /** Batches after which what was taken in outlives the process, however many are still to come. */
  private static final int COMMIT = 10;

  private final Publications publications;
  private final IndexFeeder feeder;
  private final Calendar calendar;
  private final LanternProperties properties;
  private volatile CatalogueIndex index;
  private final Trouble trouble = new Trouble();

  /**
   * Whether the copy itself cannot be written to; a database that is away says nothing about it.
   */
  private boolean broken;

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

  /** As a viewer sees it, with at least the change of this number; to be closed by the caller. */
  public Snapshot snapshot(Viewer viewer, long atLeast) {
    if (index.number() < atLeast) {
      catchUp();
    }
    return index.snapshot(viewer.group());
  }

  /**
   * The same where it can be had; otherwise the last state that there is, which {@link #upToDate}
   * dates. To be closed by the caller.
   */
  public Snapshot latest(Viewer viewer, long atLeast) {
    return trouble.isThere() ? index.snapshot(viewer.group()) : snapshot(viewer, atLeast);
  }

  /** Whether the copy cannot be brought up to date for now. */
  public boolean standsStill() {
    return trouble.isThere();
  }

  /** Of which moment the catalogue is searched, by the calendar. */
  public Instant upToDate() {
    return trouble.since().orElseGet(calendar::now);
  }

  /** How many changes are still to be taken in. */
  public long lag() {
    return Math.max(0, publications.latest() - index.number());
  }

  /** Takes in everything that is in the database now. */
  public synchronized void catchUp() {
    long latest = publications.latest();
    if (!broken) {
      try {
        bring(index, latest);
      } catch (UncheckedIOException | AlreadyClosedException unusable) {
        broken = true;
        trouble.begins(calendar.now(), unusable);
      }
    }
    if (broken) {
      renew(latest);
      broken = false;
    }
    trouble.ends();
  }

  /**
   * Publications (row numbers) of which the copy has another state than the database, lacks them,
   * or has them although nobody can find them. What changes meanwhile is none of them.
   */
  public synchronized Set<Integer> differences() {
    catchUp();
    long number = index.number();
    long[] ought = publications.digests();
    Set<Integer> differ = new TreeSet<>();
    index.digests(
        (id, digest) -> {
          if (id >= ought.length || ought[id] != digest) {
            differ.add(id);
          }
          if (id < ought.length) {
            ought[id] = 0;
          }
        });
    IntStream.range(0, ought.length).filter(id -> ought[id] != 0).forEach(differ::add);
    // What cannot be taken in is told elsewhere.
    differ.removeAll(publications.setAsideByIndex());
    publications.touchedSince(number).forEach((int id) -> differ.remove(id));
    return differ;
  }

  /** Takes publications in once more, as they are now. */
  public synchronized void takeAgain(Collection<Integer> ids) {
    List<Integer> all = List.copyOf(ids);
    for (int start = 0; start < all.size(); start += BATCH) {
      Map<Integer, Long> some = new LinkedHashMap<>();
      all.subList(start, Math.min(start + BATCH, all.size()))
          .forEach(id -> some.put(id, index.number()));
      IndexFeeder.Batch batch = feeder.batch(some);
      index.apply(batch.put(), batch.remove(), index.number());
    }
    index.commit();
  }

  private void bring(CatalogueIndex copy, long latest) {
    if (copy.number() > latest) {
      LOG.warn("the index is ahead of the database and is made anew");
      copy.empty();
    }
    int batches = 0;
    while (copy.number() < latest) {
      takeIn(copy, latest);
      batches++;
      if (batches % COMMIT == 0 || copy.number() >= latest) {
        copy.commit();
      }
    }
  }

  /** Another copy in place of one whose folder is gone or full; searched once it holds all. */
  private void renew(long latest) {
    CatalogueIndex former = index;
    former.retire();
    CatalogueIndex fresh = open();
    try {
      bring(fresh, latest);
    } catch (RuntimeException again) {
      fresh.retire();
      fresh.close();
      throw again;
    }
    index = fresh;
    former.close();
  }

  private CatalogueIndex open() {
    Path folder = properties.data().resolve("index");
    String installation = calendar.installation().toString();
    try {
      return CatalogueIndex.open(folder, installation);
    } catch (UncheckedIOException | IllegalArgumentException unreadable) {
      LOG.warn("the index in {} cannot be read and is made anew", folder, unreadable);
      FileSystemUtils.deleteRecursively(folder.toFile());
      return CatalogueIndex.open(folder, installation);
    }
  }

  private void takeIn(CatalogueIndex copy, long latest) {
    List<Publications.Change> changes = publications.changes(copy.number(), latest, BATCH);
    Map<Integer, Long> touched = new LinkedHashMap<>();
    changes.forEach(change -> touched.put(change.publication(), change.no()));
    IndexFeeder.Batch batch = feeder.batch(touched);
    long upTo = changes.isEmpty() ? latest : changes.get(changes.size() - 1).no();
    List<CatalogueIndex.SetAside> aside = new ArrayList<>(batch.aside());
    aside.addAll(copy.apply(batch.put(), batch.remove(), upTo));
    publications.resolve(touched.keySet());
    aside.forEach(a -> publications.setAside(a.id(), touched.get(a.id()), a.why()));
  }

  @Override
  public synchronized void start() {
    index = open();
    catchUp();
    following = Executors.newSingleThreadScheduledExecutor(work -> new Thread(work, "index"));
    task = following.scheduleWithFixedDelay(this::follow, 1, 1, TimeUnit.SECONDS);
  }

  private void follow() {
    try {
      if (trouble.mayTry()) {
        catchUp();
      }
    } catch (RuntimeException failed) {
      trouble.begins(calendar.now(), failed);
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
