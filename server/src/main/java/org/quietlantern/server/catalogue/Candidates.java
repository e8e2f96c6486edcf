package org.quietlantern.server.catalogue;

import java.util.HashMap;
import java.util.Map;
import org.quietlantern.core.publication.SourceRecord;
import org.springframework.stereotype.Component;

/** Finds the works that records may be of. */
@Component
class Candidates {
  private final CatalogueMapper mapper;

  Candidates(CatalogueMapper mapper) {
    this.mapper = mapper;
  }

  /** All works that the records belong to already or share a key with. */
  Works load(int group, int source, Map<String, WorkRecord> members, Apart apart) {
    String[] identifiers = members.keySet().toArray(String[]::new);
    Works works = new Works(apart);
    Map<Integer, Work> byId = new HashMap<>();
    for (CatalogueMapper.Kept kept : mapper.kept(group, source, identifiers, keys(members))) {
      Work work =
          byId.computeIfAbsent(kept.work(), id -> Work.stored(id, kept.hash(), kept.withdrawn()));
      SourceRecord record =
          new SourceRecord(
              kept.identifier(), kept.format(), kept.raw(), kept.datestamp(), kept.deleted());
      works.know(
          work,
          new Work.Name(kept.source(), kept.identifier()),
          WorkRecord.of(record, kept.rank(), kept.supply()));
    }
    return works;
  }

  /** What a group has decided of its records. */
  Apart apart(int group) {
    return Apart.of(mapper.keptApart(group));
  }

  static String[] keys(Map<String, WorkRecord> members) {
    return members.values().stream()
        .flatMap(member -> PageWriter.keys(member).stream())
        .distinct()
        .toArray(String[]::new);
  }
}
