package org.quietlantern.server.alert;

import java.util.ArrayList;
import java.util.List;
import org.quietlantern.server.trouble.TroubleTeller;
import org.springframework.stereotype.Component;

/** Alerts whose last run failed, and those whose search lost a heading. */
@Component
class AlertTroubles implements TroubleTeller {
  private final AlertMapper mapper;

  AlertTroubles(AlertMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public List<TroubleNow> now() {
    List<TroubleNow> now = new ArrayList<>();
    for (AlertMapper.Unwell one : mapper.unwell()) {
      if (!one.failed().isEmpty()) {
        now.add(
            trouble("alert run ", one, "Its last run failed and is tried again: " + one.failed()));
      }
      if (!one.lost().isEmpty()) {
        now.add(trouble("alert heading ", one, "It has lost a heading. " + one.lost()));
      }
    }
    return now;
  }

  private static TroubleNow trouble(String kind, AlertMapper.Unwell one, String why) {
    return new TroubleNow(
        kind + one.pid(), one.grp(), "Alert on “" + one.name() + "”", "a/" + one.pid(), why);
  }
}
