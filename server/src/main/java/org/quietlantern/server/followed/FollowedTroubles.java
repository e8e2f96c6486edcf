package org.quietlantern.server.followed;

import java.util.List;
import org.quietlantern.server.trouble.TroubleTeller;
import org.springframework.stereotype.Component;

/** Feeds of others that did not answer as they should three times. */
@Component
class FollowedTroubles implements TroubleTeller {
  private static final int TOLD_AFTER = 3;
  private final FollowedMapper mapper;

  FollowedTroubles(FollowedMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public List<TroubleNow> now() {
    return mapper.failing(TOLD_AFTER).stream()
        .map(
            one ->
                new TroubleNow(
                    "followed " + one.pid(),
                    one.grp(),
                    one.title(),
                    "catalogue/followed",
                    "This feed of others does not come through; what it still has then is taken in"
                        + " when it does. "
                        + one.error()))
        .toList();
  }
}
