package org.quietlantern.server.upkeep;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.matching.Matching;
import org.springframework.stereotype.Component;

/** Figures of the lantern's own beside those of the machine and of requests. */
@Component
class Figures implements MeterBinder {
  private final IndexKeeper index;
  private final Matching matching;
  private final FiguresMapper mapper;

  Figures(IndexKeeper index, Matching matching, FiguresMapper mapper) {
    this.index = index;
    this.matching = matching;
    this.mapper = mapper;
  }

  @Override
  public void bindTo(MeterRegistry registry) {
    Gauge.builder("lantern.index.lag", index::lag)
        .description("Changes of the catalogue that searches do not see yet")
        .register(registry);
    Gauge.builder("lantern.index.stands.still", () -> index.standsStill() ? 1 : 0)
        .description("1 while the index cannot be brought up to date")
        .register(registry);
    Gauge.builder("lantern.search.waiting", matching::waiting)
        .description("Searches that wait for their turn")
        .register(registry);
    Gauge.builder("lantern.sources.failing", mapper::failingSources)
        .description("Sources whose last harvest broke off")
        .register(registry);
    Gauge.builder("lantern.records.set.aside", mapper::recordsSetAside)
        .description("Records that could not be taken")
        .register(registry);
    Gauge.builder("lantern.alerts.failing", mapper::failingAlerts)
        .description("Alerts whose last run failed")
        .register(registry);
  }
}
