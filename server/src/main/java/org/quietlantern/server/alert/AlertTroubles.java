package org.quietlantern.server.alert;

import java.util.ArrayList;
import java.util.List;
import org.quietlantern.server.trouble.TroubleTeller;
import org.springframework.stereotype.Component;

/** Alerts whose last run failed, and those whose search lost a heading. */
@Component
class AlertTroubles implements TroubleTeller {
  private final ComparisonMapper comparisons;

  AlertTroubles(ComparisonMapper comparisons) {
    this.comparisons = comparisons;
  }

  @Override
  public List<TroubleNow> now() {
    List<TroubleNow> now = new ArrayList<>();
    for (ComparisonMapper.Unwell one : comparisons.unwell()) {
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

  private static TroubleNow trouble(String kind, ComparisonMapper.Unwell one, String why) {
    return new TroubleNow(
        kind + one.pid(), one.grp(), "Alert on “" + one.name() + "”", "a/" + one.pid(), why);
  }
}
