package org.quietlantern.server.trail;

import java.util.Optional;
import java.util.stream.Collectors;
import org.quietlantern.core.query.Sentence;
import org.quietlantern.core.query.Strategy;
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
  public Optional<String> title(int group, String name) {
    return find(group, name).map(StrategyBody::strategy).map(KeptShelf::spoken);
  }

  /** As short as it can be told, in plain words. */
  static String spoken(Strategy strategy) {
    return strategy.inForce().stream()
        .map(line -> Sentence.ofLine(line, held -> "another search"))
        .collect(Collectors.joining(" · "));
  }
}
