package org.quietlantern.server.loading;

import java.util.ArrayList;
import java.util.List;
import org.quietlantern.core.exchange.FiledRecord;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.harvest.Taking;
import org.quietlantern.server.platform.Checkpoint;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** A page of a file is taken and its place noted together, or not at all. */
@Component
class LoadSteps {
  private final LoadMapper mapper;
  private final Taking taking;
  private final Checkpoint checkpoint;

  LoadSteps(LoadMapper mapper, Taking taking, Checkpoint checkpoint) {
    this.mapper = mapper;
    this.taking = taking;
    this.checkpoint = checkpoint;
  }

  /** Answers whether it is to go on; not if somebody stopped it. */
  @Transactional
  public boolean take(int load, int source, List<FiledRecord> page, long readBytes) {
    List<SourceRecord> records = new ArrayList<>();
    int odd = 0;
    for (FiledRecord filed : page) {
      String why = filed.problem().orElseGet(() -> whyNot(filed));
      if (why.isEmpty()) {
        records.add(
            new SourceRecord(
                filed.identifier(), "file", filed.raw(), filed.datestamp(), filed.deleted()));
      } else {
        taking.setAside(source, filed.identifier(), why, filed.raw());
        odd++;
      }
    }
    Taking.Taken taken = taking.take(source, records);
    checkpoint.pass("load: page in the catalogue, place not noted");
    return mapper.progress(
            new LoadMapper.Progress(
                load, readBytes, page.size(), taken.changed(), taken.setAside() + odd))
        > 0;
  }

  private static String whyNot(FiledRecord filed) {
    return filed.identifier().length() > Catalogue.LONGEST_NAME
        ? "its identifier has %,d letters".formatted(filed.identifier().length())
        : "";
  }
}
