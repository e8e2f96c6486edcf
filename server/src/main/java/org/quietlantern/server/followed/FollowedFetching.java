package org.quietlantern.server.followed;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.newsfeed.Newsfeed;
import org.quietlantern.core.newsfeed.NewsfeedReader;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.reference.Included;
import org.quietlantern.core.reference.ModsWriter;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.server.harvest.SourceKeeping;
import org.quietlantern.server.harvest.Taking;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Asks a feed for what it has, and takes that in: records and the note of the answer in one
 * transaction. Politely: not more than once an hour, with what it said of its state, and less and
 * less often where it does not answer.
 */
@Component
class FollowedFetching {
  private static final Duration USUALLY = Duration.ofHours(1);
  private static final Duration AT_MOST = Duration.ofDays(1);
  private static final int LONGEST_ERROR = 300;
  private static final int LONGEST_FIELD = 500;
  private final FollowedMapper mapper;
  private final Outbound outbound;
  private final Taking taking;
  private final SourceKeeping sources;
  private final Calendar calendar;
  private final SystemTime system;
  private final Checkpoint checkpoint;
  private final TransactionTemplate transaction;

  /**
   * An answer.
   *
   * @param feed absent where it is as it was
   * @param tag and {@code changed}: what names its state
   */
  record Fetched(@Nullable Newsfeed feed, @Nullable String tag, @Nullable String changed) {}

  FollowedFetching(
      FollowedMapper mapper,
      Outbound outbound,
      Taking taking,
      SourceKeeping sources,
      Calendar calendar,
      SystemTime system,
      Checkpoint checkpoint,
      TransactionTemplate transaction) {
    this.mapper = mapper;
    this.outbound = outbound;
    this.taking = taking;
    this.sources = sources;
    this.calendar = calendar;
    this.system = system;
    this.checkpoint = checkpoint;
    this.transaction = transaction;
  }

  /** What is at an address now. */
  Outbound.Answer<Fetched> fetch(URI address, @Nullable String tag, @Nullable String changed)
      throws IOException {
    Map<String, String> fields = new HashMap<>();
    fields.put(
        "Accept", "application/atom+xml, application/rss+xml, application/xml;q=0.9, */*;q=0.5");
    if (tag != null) {
      fields.put("If-None-Match", tag);
    }
    if (changed != null) {
      fields.put("If-Modified-Since", changed);
    }
    return outbound.getIfNew(address, fields, FollowedFetching::read);
  }

  private static Fetched read(Outbound.Told told) throws IOException {
    if (told.code() == 304) {
      return new Fetched(null, null, null);
    }
    return new Fetched(
        NewsfeedReader.read(bounded(told.body()), told.fields().getOrDefault("content-type", "")),
        field(told, "etag"),
        field(told, "last-modified"));
  }

  private static @Nullable String field(Outbound.Told told, String name) {
    String value = told.fields().get(name);
    return value == null || value.length() > LONGEST_FIELD ? null : value;
  }

  /** One byte more than is read, so that what is too large is known to be. */
  private static byte[] bounded(InputStream body) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    byte[] some = new byte[8192];
    int read = body.read(some);
    while (read >= 0 && bytes.size() <= NewsfeedReader.LARGEST) {
      bytes.write(some, 0, read);
      read = body.read(some);
    }
    return bytes.toByteArray();
  }

  /** Asks one and notes what came of it, whatever that is. */
  void ask(FollowedMapper.Row row) {
    try {
      Outbound.Answer<Fetched> answer = fetch(URI.create(row.address()), row.tag(), row.changed());
      checkpoint.pass("feed of others: fetched");
      answer.movedTo().ifPresent(to -> mapper.moved(row.id(), to.toString()));
      transaction.executeWithoutResult(status -> take(row, answer.value()));
    } catch (Outbound.Closing stopping) {
      mapper.same(row.id(), calendar.now(), system.now());
    } catch (Outbound.ComeBackLater later) {
      Duration wait = later.forHowLong();
      mapper.failed(
          row.id(),
          sentence(later),
          system.now().plus(wait.compareTo(USUALLY) > 0 ? wait : USUALLY));
    } catch (IOException | IllegalArgumentException odd) {
      mapper.failed(row.id(), sentence(odd), system.now().plus(pause(row.tries())));
    }
  }

  /** An hour, then twice as long each time, up to a day. */
  private static Duration pause(int tries) {
    Duration pause = USUALLY.multipliedBy(1L << Math.min(tries, 5));
    return pause.compareTo(AT_MOST) > 0 ? AT_MOST : pause;
  }

  static String sentence(Exception odd) {
    String said = odd.getMessage() == null ? odd.getClass().getSimpleName() : odd.getMessage();
    return Text.atMost(LONGEST_ERROR, Text.clean(said));
  }

  private void take(FollowedMapper.Row row, Fetched fetched) {
    Newsfeed feed = fetched.feed();
    if (feed == null) {
      mapper.same(row.id(), calendar.now(), system.now().plus(USUALLY));
      return;
    }
    taking.take(row.source(), records(feed));
    checkpoint.pass("feed of others: taken, not noted");
    if (!feed.title().isEmpty() && !feed.title().equals(row.title())) {
      sources.rename(row.source(), FollowedFeeds.nameOf(feed.title()));
    }
    mapper.answered(
        new FollowedMapper.Answered(
            row.id(),
            feed.title(),
            feed.site(),
            fetched.tag(),
            fetched.changed(),
            feed.entries().size() + feed.left() + feed.unread(),
            feed.left() + feed.unread(),
            calendar.now(),
            system.now().plus(USUALLY)));
  }

  /** Each entry as a record of MODS, so that it is read as any other. */
  List<SourceRecord> records(Newsfeed feed) {
    ModsWriter mods = new ModsWriter(Included.ALL);
    String day = calendar.now().toString().substring(0, 10);
    List<SourceRecord> records = new ArrayList<>();
    for (Newsfeed.Entry entry : feed.entries()) {
      String raw = mods.entry(Reference.of(entry.id(), entry.work(), entry.link()));
      records.add(new SourceRecord(entry.id(), "mods", raw, day, false));
    }
    return records;
  }
}
