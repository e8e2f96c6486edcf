package org.quietlantern.server.catalogue;

import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whether an abstract may be shown to anyone: only if a source that allows it supplied it (K3). */
@Service
public class OpenAbstracts {
  private final CatalogueMapper mapper;

  OpenAbstracts(CatalogueMapper mapper) {
    this.mapper = mapper;
  }

  @Transactional(readOnly = true)
  public boolean mayShow(StoredPublication stored) {
    String shown = stored.publication().abstractText();
    return !shown.isEmpty() && texts(stored.id()).contains(shown);
  }

  private Set<String> texts(int publication) {
    return mapper.openRecords(publication).stream()
        .map(record -> RecordReader.read(record.raw()))
        .filter(SuppliedRecord.Read.class::isInstance)
        .map(read -> ((SuppliedRecord.Read) read).publication().abstractText())
        .collect(Collectors.toSet());
  }
}
