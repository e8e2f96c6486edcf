package org.quietlantern.server.harvest;

import java.time.Instant;
import java.util.List;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Page;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a source has supplied, record by record, and how each was read. */
@Service
@Transactional(readOnly = true)
class SourceRecords {
  private static final int SHOWN = 20;
  private final SourceMapper mapper;

  /**
   * A record of a source.
   *
   * @param id in the order in which they came first
   * @param publication public id of what it stands under; absent if it could not be read
   * @param deleted whether the source took it back
   * @param came when it came last
   */
  record RecordKept(
      int id,
      @Nullable String publication,
      boolean deleted,
      Instant came,
      SourceLook.RecordTried read) {}

  /** {@code more}: whether others follow. */
  record RecordsKept(List<RecordKept> records, boolean more) {}

  SourceRecords(SourceMapper mapper) {
    this.mapper = mapper;
  }

  /**
   * In the order in which they came first.
   *
   * @param after only those behind the one with this number
   * @param odd only those with problems
   * @param part only those whose names have this in them
   */
  RecordsKept page(String key, int after, boolean odd, String part) {
    Integer source = mapper.row(key);
    if (source == null) {
      throw Refusal.unknown();
    }
    String like = part.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
    Page<SourceMapper.KeptRow> page =
        Page.of(mapper.records(source, after, odd, "%" + like + "%", SHOWN + 1), SHOWN);
    return new RecordsKept(page.rows().stream().map(SourceRecords::shown).toList(), page.more());
  }

  private static RecordKept shown(SourceMapper.KeptRow row) {
    return new RecordKept(
        row.id(),
        row.publication(),
        row.deleted(),
        row.came(),
        SourceLook.tried(row.identifier(), row.raw()));
  }
}
