package org.quietlantern.server.trail;

import java.util.Optional;
import org.quietlantern.server.matching.Shelf;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.platform.Json;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Strategies that were settled once, named {@code q:ID}. */
@Component
class KeptShelf implements Shelf {
  private final TrailMapper mapper;
  private final Json json;

  KeptShelf(TrailMapper mapper, Json json) {
    this.mapper = mapper;
    this.json = json;
  }

  @Override
  public String prefix() {
    return "q:";
  }

  @Override
  @Transactional(readOnly = true)
  public Optional<StrategyBody> find(int group, String name) {
    return Optional.ofNullable(mapper.find(group, name))
        .map(kept -> json.read(kept.strategy(), StrategyBody.class));
  }

  @Override
  public String title(int group, String name) {
    return "the search /q/" + name;
  }
}
