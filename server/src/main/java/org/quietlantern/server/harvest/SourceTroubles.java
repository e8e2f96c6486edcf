package org.quietlantern.server.harvest;

import java.util.List;
import org.quietlantern.server.trouble.TroubleTeller;
import org.springframework.stereotype.Component;

/** Sources that do not answer as they should. */
@Component
class SourceTroubles implements TroubleTeller {
  private final HarvestMapper mapper;

  SourceTroubles(HarvestMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public List<TroubleNow> now() {
    return mapper.failingNow().stream()
        .map(
            one ->
                new TroubleNow(
                    "source " + one.key(),
                    null,
                    one.name(),
                    "catalogue/sources",
                    "Nothing comes through from it; what is missed is made up for. " + one.error()))
        .toList();
  }
}
