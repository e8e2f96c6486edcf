package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.springframework.stereotype.Component;

/** Writes what a page of records comes to: new publications, and the records as they came. */
@Component
class PageWriter {
  /** Letters of a key that are kept; comparing decides, the key only finds. */
  private static final int LONGEST_KEY = 400;

  private static final long FIRST_COUNT = 500;

  /** Letters after which a statement is sent; a page of long records takes several. */
  private static final int LETTERS = 8_000_000;

  /** Records written by this process, and how many they were when the database counted last. */
  private long written;

  private long counted = FIRST_COUNT;

  /** {@code fields}: as JSON. {@code hash}: hexadecimal. */
  record NewPublication(int place, String pid, String fields, String hash) {}

  /** A record as it came; {@code publication}: under which it stands, if it can be read. */
  record NewRecord(
      int place,
      String identifier,
      @Nullable Integer publication,
      String format,
      String raw,
      String datestamp,
      boolean deleted,
      List<String> problems,
      List<String> keys) {}

  private final PageMapper mapper;
  private final PublicIds ids;
  private final Json json;

  PageWriter(PageMapper mapper, PublicIds ids, Json json) {
    this.mapper = mapper;
    this.ids = ids;
    this.json = json;
  }

  /** A work that has no row yet, with what is stored of it. */
  record Fresh(Work work, MergedFields winning) {}

  /** Gives new works their rows, numbered in this order. */
  void add(int group, Instant now, List<Fresh> works) {
    Map<String, Work> byPid = new HashMap<>();
    Rows rows = new Rows(text -> added(mapper.add(group, now, text), byPid));
    for (Fresh fresh : works) {
      String pid = ids.next();
      byPid.put(pid, fresh.work());
      String fields = fresh.winning().fields();
      String hash = HexFormat.of().formatHex(fresh.winning().hash());
      rows.put(new NewPublication(rows.count(), pid, fields, hash), fields.length());
    }
    rows.send();
  }

  private static void added(List<PageMapper.Added> rows, Map<String, Work> byPid) {
    rows.forEach(row -> byPid.get(row.pid()).id(row.id()));
  }

  /** {@code publication}: the row of what a record stands under, if it can be read. */
  record Placed(WorkRecord member, Optional<Integer> publication) {}

  /** Keeps records as they came, each under the row of its publication if it has one. */
  void keep(int source, Instant now, List<Placed> records) {
    Rows rows = new Rows(text -> mapper.keep(source, now, text));
    for (Placed placed : records) {
      rows.put(row(rows.count(), placed), placed.member().record().raw().length());
    }
    rows.send();
    if (hasDoubled(records.size())) {
      mapper.count();
    }
  }

  /** Plans made while tables were small read them whole: the more there is, the longer. */
  private synchronized boolean hasDoubled(int more) {
    written += more;
    boolean doubled = written >= 2 * counted;
    counted = doubled ? written : counted;
    return doubled;
  }

  private static NewRecord row(int place, Placed placed) {
    WorkRecord member = placed.member();
    SourceRecord record = member.record();
    return new NewRecord(
        place,
        record.identifier(),
        placed.publication().orElse(null),
        record.format(),
        record.raw(),
        record.datestamp(),
        record.deleted(),
        record.deleted() ? List.of() : member.problems(),
        keys(member));
  }

  /** Those of a record, as they are stored. */
  static List<String> keys(WorkRecord member) {
    return member.keys().stream()
        .map(key -> key.substring(0, Math.min(key.length(), LONGEST_KEY)))
        .toList();
  }

  /** Rows on their way; sent when they are many letters. */
  private final class Rows {
    private final Consumer<String> statement;
    private final List<Object> waiting = new ArrayList<>();
    private int count;
    private int letters;

    Rows(Consumer<String> statement) {
      this.statement = statement;
    }

    int count() {
      return count;
    }

    void put(Object row, int itsLetters) {
      if (letters + itsLetters > LETTERS) {
        send();
      }
      waiting.add(row);
      count++;
      letters += itsLetters;
    }

    void send() {
      if (!waiting.isEmpty()) {
        statement.accept(json.write(waiting));
        waiting.clear();
        letters = 0;
      }
    }
  }
}
