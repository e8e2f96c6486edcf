package org.quietlantern.server.link;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.report.Notes;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Component;

/** Finds the group behind a short link that is for members only. */
@Component
class Linked {
  private final Map<String, Function<String, Optional<String>>> groups;

  Linked(
      Folders folders,
      SavedSearches searches,
      Trail trail,
      Alerts alerts,
      Arrivals arrivals,
      Notes notes) {
    this.groups =
        Map.of(
            "f", folders::groupOf,
            "s", searches::groupOf,
            "q", trail::groupOf,
            "a", alerts::groupOf,
            "r", arrivals::groupOf,
            "n", notes::groupOf);
  }

  /** Public id of the group; empty for a kind or an id that there is not. */
  Optional<String> groupOf(String kind, String id) {
    return Optional.ofNullable(groups.get(kind)).flatMap(find -> find.apply(id));
  }
}
