package org.quietlantern.server.harvest;

import java.time.Instant;
import java.util.List;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The transactions of a harvest: a page is taken and its place noted together, or not at all. */
@Component
class HarvestSteps {
  private final HarvestMapper mapper;
  private final Catalogue catalogue;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

  HarvestSteps(
      HarvestMapper mapper, Catalogue catalogue, Calendar calendar, Checkpoint checkpoint) {
    this.mapper = mapper;
    this.catalogue = catalogue;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  @Transactional
  int start(int source, String from) {
    return mapper.start(source, from, calendar.now());
  }

  @Transactional
  int take(int harvest, int source, OaiPage page) {
    checkpoint.pass("harvest: page fetched");
    int changed = 0;
    List<SourceRecord> records = page.records();
    for (int start = 0; start < records.size(); start += Catalogue.MOST) {
      int end = Math.min(start + Catalogue.MOST, records.size());
      changed += catalogue.take(source, records.subList(start, end));
    }
    checkpoint.pass("harvest: page in the catalogue, place not noted");
    mapper.progress(
        harvest, page.token().orElse(null), records.size(), changed, page.responseDate());
    return changed;
  }

  @Transactional
  void finish(int harvest, Instant now) {
    checkpoint.pass("harvest: all pages taken");
    mapper.finish(harvest, now);
  }
}
