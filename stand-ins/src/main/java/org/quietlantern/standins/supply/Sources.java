package org.quietlantern.standins.supply;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Predicate;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.Work;

/** The three sources of the made-up literature. */
public final class Sources {
  private Sources() {}

  public static List<Source> of(Literature literature) {
    return List.of(
        new Source(
            "night-index",
            "The Night Index",
            "desk@nightindex.example",
            List.of("mods", "oai_dc"),
            "persistent",
            200,
            all(literature, NightIndex::takes, NightIndex::of)),
        new Source(
            "fjordside",
            "Fjordside Repository",
            "shelf@fjordside.example",
            List.of("oai_dc"),
            "transient",
            100,
            all(literature, w -> Repository.takes(literature, w), Repository::of)),
        new Source(
            "early-light",
            "Early Light Preprints",
            "post@earlylight.example",
            List.of("mods", "oai_dc"),
            "no",
            100,
            all(literature, w -> PreprintServer.takes(literature, w), PreprintServer::of)));
  }

  private static List<Revision> all(
      Literature literature,
      Predicate<Work> takes,
      BiFunction<Literature, Work, List<Revision>> says) {
    return literature.works().stream()
        .filter(takes)
        .flatMap(work -> says.apply(literature, work).stream())
        .toList();
  }
}
