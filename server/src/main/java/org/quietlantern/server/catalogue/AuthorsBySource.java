package org.quietlantern.server.catalogue;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.quietlantern.core.publication.PersonName;
import org.springframework.stereotype.Service;

/** The authors of works as each source has them, where several sources supply a work. */
@Service
public class AuthorsBySource {
  private final SuppliersMapper mapper;

  AuthorsBySource(SuppliersMapper mapper) {
    this.mapper = mapper;
  }

  /** By publication (row number); nothing for works of one record. */
  public Map<Integer, List<List<PersonName>>> of(Collection<Integer> publications) {
    Map<Integer, List<List<PersonName>>> authors = new HashMap<>();
    mapper
        .severalRecords(publications.toArray(Integer[]::new))
        .forEach(
            one -> {
              if (RecordReader.read(one.raw()) instanceof SuppliedRecord.Read read) {
                authors
                    .computeIfAbsent(one.publication(), p -> new ArrayList<>())
                    .add(read.publication().authors());
              }
            });
    return authors;
  }
}
