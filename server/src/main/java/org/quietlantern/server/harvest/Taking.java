package org.quietlantern.server.harvest;

import java.util.List;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.platform.Away;
import org.quietlantern.server.platform.Calendar;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes what a source supplies; a record that cannot be taken is set aside and stops nothing. */
@Component
public class Taking {
  private static final Logger LOG = LoggerFactory.getLogger(Taking.class);
  private final HarvestMapper mapper;
  private final Catalogue catalogue;
  private final Calendar calendar;
  private final TransactionTemplate nested;

  /** What records came to: publications changed, records set aside. */
  public record Taken(int changed, int setAside) {
    static final Taken NOTHING = new Taken(0, 0);

    Taken plus(Taken other) {
      return new Taken(changed + other.changed, setAside + other.setAside);
    }
  }

  Taking(
      HarvestMapper mapper,
      Catalogue catalogue,
      Calendar calendar,
      PlatformTransactionManager transactions) {
    this.mapper = mapper;
    this.catalogue = catalogue;
    this.calendar = calendar;
    this.nested = new TransactionTemplate(transactions);
    nested.setPropagationBehavior(TransactionDefinition.PROPAGATION_NESTED);
  }

  /** Takes records; one that cannot be taken is set aside by name, and the others are taken. */
  @Transactional
  public Taken take(int source, List<SourceRecord> records) {
    Taken sum = Taken.NOTHING;
    for (int start = 0; start < records.size(); start += Catalogue.MOST) {
      int end = Math.min(start + Catalogue.MOST, records.size());
      sum = sum.plus(divide(source, records.subList(start, end)));
    }
    return sum;
  }

  private Taken divide(int source, List<SourceRecord> records) {
    try {
      int changed = nested.execute(status -> catalogue.take(source, records));
      mapper.resolve(source, records.stream().map(SourceRecord::identifier).toArray(String[]::new));
      return new Taken(changed, 0);
    } catch (RuntimeException odd) {
      if (Away.isCauseOf(odd)) {
        // The database has no time or is gone: that says nothing about the records.
        throw odd;
      }
      if (records.size() == 1) {
        SourceRecord record = records.get(0);
        LOG.warn("record {} of source {} is set aside", record.identifier(), source, odd);
        setAside(source, record.identifier(), Harvests.sentence(odd), record.raw());
        return new Taken(0, 1);
      }
      int middle = records.size() / 2;
      return divide(source, records.subList(0, middle))
          .plus(divide(source, records.subList(middle, records.size())));
    }
  }

  /** One that does not even come to the door. {@code raw}: what came, or its beginning. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void setAside(int source, String identifier, String why, String raw) {
    OaiPage.SetAside odd = new OaiPage.SetAside(identifier, why, raw);
    mapper.setAside(source, odd.identifier(), odd.why(), odd.raw(), calendar.now());
  }
}
