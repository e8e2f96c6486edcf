package org.quietlantern.server.harvest;

import java.util.List;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.catalogue.Catalogue;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Reads what sources supplied before once more when records are read differently now. They are kept
 * as supplied, so nothing needs to be fetched.
 */
@Component
class Rereading {
  private static final Logger LOG = LoggerFactory.getLogger(Rereading.class);
  private final HarvestMapper mapper;
  private final Taking taking;

  Rereading(HarvestMapper mapper, Taking taking) {
    this.mapper = mapper;
    this.taking = taking;
  }

  /** Killed half-way, it begins again; what was read again already does not change. */
  void readAgainWhatChanged() {
    if (mapper.readingEdition() >= RecordReader.EDITION) {
      return;
    }
    for (HarvestMapper.Source source : mapper.all()) {
      LOG.info("reading the records of {} again", source.name());
      List<HarvestMapper.Kept> page = mapper.kept(source.id(), 0, Catalogue.MOST);
      while (!page.isEmpty()) {
        List<SourceRecord> records = page.stream().map(HarvestMapper.Kept::record).toList();
        taking.take(source.id(), records);
        page = mapper.kept(source.id(), page.get(page.size() - 1).id(), Catalogue.MOST);
      }
    }
    mapper.setReadingEdition(RecordReader.EDITION);
  }
}
