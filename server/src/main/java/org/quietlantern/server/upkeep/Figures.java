package org.quietlantern.server.upkeep;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.util.function.Supplier;
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
    told(
        registry, "index.lag", index::lag, "Changes of the catalogue that searches do not see yet");
    told(
        registry,
        "index.stands.still",
        () -> index.standsStill() ? 1 : 0,
        "1 while the index cannot be brought up to date");
    told(registry, "search.waiting", matching::waiting, "Searches that wait for their turn");
    told(
        registry,
        "sources.failing",
        mapper::failingSources,
        "Sources whose last harvest broke off");
    told(registry, "records.set.aside", mapper::recordsSetAside, "Records that could not be taken");
    told(registry, "alerts.failing", mapper::failingAlerts, "Alerts whose last run failed");
  }

  private static void told(
      MeterRegistry registry, String name, Supplier<Number> now, String description) {
    Gauge.builder("lantern." + name, now).description(description).register(registry);
  }
}
