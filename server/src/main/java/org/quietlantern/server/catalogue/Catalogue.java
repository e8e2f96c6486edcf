package org.quietlantern.server.catalogue;

import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.quietlantern.core.exchange.ModsReader;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.PublicIds;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * The one door into the catalogue: everything that writes publications goes through it. Whatever
 * changes gets a number, and because only one writer is inside at a time, the order of numbers is
 * the order of commits.
 */
@Service
public class Catalogue {
  /** Records that one transaction takes. */
  public static final int MOST = 500;

  private final CatalogueMapper mapper;
  private final PublicIds ids;
  private final Json json;
  private final Calendar calendar;

  Catalogue(CatalogueMapper mapper, PublicIds ids, Json json, Calendar calendar) {
    this.mapper = mapper;
    this.ids = ids;
    this.json = json;
    this.calendar = calendar;
  }

  /**
   * Takes a page of records of a source, in the caller's transaction; the caller notes its own
   * progress in the same one.
   *
   * @return how many publications changed
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public int take(int source, List<SourceRecord> records) {
    if (records.size() > MOST) {
      throw new IllegalArgumentException("more than " + MOST + " records: " + records.size());
    }
    mapper.lock();
    Instant now = calendar.now();
    String[] identifiers = records.stream().map(SourceRecord::identifier).toArray(String[]::new);
    Map<String, CatalogueMapper.Held> held =
        mapper.held(source, identifiers).stream()
            .collect(Collectors.toMap(CatalogueMapper.Held::identifier, Function.identity()));
    int changed = 0;
    // A page may name a record twice; the last one is the newest.
    Map<String, SourceRecord> newest =
        records.stream()
            .collect(
                Collectors.toMap(
                    SourceRecord::identifier,
                    Function.identity(),
                    (first, last) -> last,
                    java.util.LinkedHashMap::new));
    for (SourceRecord record : newest.values()) {
      changed += take(source, record, held.get(record.identifier()), now) ? 1 : 0;
    }
    return changed;
  }

  private boolean take(int source, SourceRecord record, CatalogueMapper.Held held, Instant now) {
    Integer publication = held == null ? null : held.publication();
    if (record.deleted()) {
      keep(source, record, publication, now, List.of());
      return withdraw(held, now);
    }
    Supplied supplied = ModsReader.read(record.raw());
    if (supplied instanceof Supplied.Unreadable unreadable) {
      keep(source, record, publication, now, List.of(unreadable.reason()));
      return false;
    }
    Supplied.Read read = (Supplied.Read) supplied;
    Winning winning = Winning.of(json.write(read.publication()));
    boolean same =
        publication != null && !held.withdrawn() && Arrays.equals(held.hash(), winning.hash());
    if (publication == null) {
      publication = mapper.add(ids.next(), now, winning.fields(), winning.hash());
      mapper.number(publication, new String[] {"new"}, now);
    } else if (!same) {
      mapper.change(publication, winning.fields(), winning.hash());
      mapper.number(publication, new String[] {"fields"}, now);
    }
    keep(source, record, publication, now, read.problems());
    return !same;
  }

  private boolean withdraw(CatalogueMapper.Held held, Instant now) {
    if (held == null || held.publication() == null || held.withdrawn()) {
      return false;
    }
    mapper.withdraw(held.publication(), now);
    mapper.number(held.publication(), new String[] {"withdrawn"}, now);
    return true;
  }

  private void keep(
      int source, SourceRecord record, Integer publication, Instant now, List<String> problems) {
    mapper.keep(
        source,
        record.identifier(),
        publication,
        record.format(),
        record.raw(),
        record.datestamp(),
        record.deleted(),
        now,
        problems.toArray(String[]::new));
  }
}
