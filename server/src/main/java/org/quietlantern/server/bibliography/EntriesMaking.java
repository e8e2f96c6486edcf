package org.quietlantern.server.bibliography;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.BeforeLeaving;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.citing.FaultShown;
import org.quietlantern.server.mending.Mends;
import org.springframework.stereotype.Component;

/** Makes all entries of a bibliography with their faults; what was made lately is kept. */
@Component
class EntriesMaking {
  /** Works that are read at once. */
  private static final int PAGE = 500;

  /** Entries that are kept, of all folders together. */
  private static final int KEPT = 20_000;

  private final Cache<Made, Whole> wholes =
      Caffeine.newBuilder()
          .maximumWeight(KEPT)
          .weigher((Made made, Whole whole) -> 1 + whole.entries().size())
          .build();

  private final Publications publications;
  private final BeforeLeaving beforeLeaving;

  /** What the entries depend on. */
  private record Made(
      int group,
      List<String> works,
      Map<String, Publications.State> states,
      Map<Integer, List<Mends.Mended>> mended,
      BibliographySettings.How how) {
    /** The place of a work's heading, from 1; 0 for none. */
    int heading(String work) {
      return 1 + how.chapters().names().indexOf(chapter(work));
    }

    /** Empty for none. */
    String chapter(String work) {
      return how.chapters().of().getOrDefault(states.get(work).id(), "");
    }
  }

  /** All entries in their order. */
  record Whole(List<Entry> entries, EntryLayout layout, boolean sorted) {}

  /**
   * @param chapter below which heading it stands; empty for none
   * @param blocks none where the style prints nothing of the work
   */
  record Entry(String publication, String chapter, List<Block> blocks, List<FaultShown> faults) {}

  EntriesMaking(Publications publications, BeforeLeaving beforeLeaving) {
    this.publications = publications;
    this.beforeLeaving = beforeLeaving;
  }

  /** {@code group}: row number of the one that reads them. */
  Whole of(
      int group,
      List<String> works,
      Map<String, Publications.State> states,
      Map<Integer, List<Mends.Mended>> mended,
      BibliographySettings.How how) {
    return wholes.get(new Made(group, works, states, mended, how), this::make);
  }

  private Whole make(Made made) {
    BeforeLeaving.Look look = beforeLeaving.begin(made.how().choice(), made.mended());
    List<Item> items = new ArrayList<>();
    for (int from = 0; from < made.works().size(); from += PAGE) {
      int end = Math.min(made.works().size(), from + PAGE);
      List<StoredPublication> some =
          publications.byPid(new Viewer(made.group()), made.works().subList(from, end));
      look.add(some);
      some.forEach(one -> items.add(CitedItem.of(one.pid(), look.read(one.pid()))));
    }
    Processor processor = Citing.processor(items, made.how().choice(), made.how().byHand());
    List<Entry> entries =
        processor.bibliography(made::heading).stream()
            .map(
                entry ->
                    new Entry(
                        entry.item(),
                        made.chapter(entry.item()),
                        entry.text().blocks(),
                        look.faults(entry.item())))
            .toList();
    return new Whole(entries, processor.entryLayout(), processor.sorts());
  }
}
