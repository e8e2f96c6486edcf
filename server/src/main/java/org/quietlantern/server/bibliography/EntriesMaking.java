package org.quietlantern.server.bibliography;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.check.Checks;
import org.quietlantern.core.citation.check.Fault;
import org.quietlantern.core.citation.check.Words;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.catalogue.AuthorsBySource;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.Citing;
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
  private final AuthorsBySource authorsBySource;

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
  record Entry(String publication, String chapter, List<Block> blocks, List<FaultFound> faults) {}

  /** {@code reads}: what the group reads in the field of the fault. */
  record FaultFound(Fault fault, String reads) {}

  EntriesMaking(Publications publications, AuthorsBySource authorsBySource) {
    this.publications = publications;
    this.authorsBySource = authorsBySource;
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
    Map<String, Publication> read = new HashMap<>();
    Map<String, List<Fault>> faults = new HashMap<>();
    Map<String, List<List<PersonName>>> elsewhere = new HashMap<>();
    Words words = new Words();
    List<Item> items = new ArrayList<>();
    for (int from = 0; from < made.works().size(); from += PAGE) {
      int end = Math.min(made.works().size(), from + PAGE);
      List<StoredPublication> some =
          publications.byPid(new Viewer(made.group()), made.works().subList(from, end));
      Map<Integer, List<List<PersonName>>> authors =
          authorsBySource.of(some.stream().map(StoredPublication::id).toList());
      for (StoredPublication stored : some) {
        Publication reads = Mends.read(stored, made.mended());
        words.add(stored.publication().abstractText()).add(stored.publication().title());
        made.mended()
            .getOrDefault(stored.id(), List.of())
            .forEach(one -> words.learn(one.mend().value()));
        items.add(CitedItem.of(stored.pid(), reads));
        read.put(stored.pid(), reads);
        faults.put(stored.pid(), changedSince(stored, made));
        if (reads.contributors().equals(stored.publication().contributors())) {
          // What the group has settled itself is settled.
          elsewhere.put(stored.pid(), authors.getOrDefault(stored.id(), List.of()));
        }
      }
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
                        faults(
                            made,
                            read.get(entry.item()),
                            faults.get(entry.item()),
                            elsewhere.getOrDefault(entry.item(), List.of()),
                            words)))
            .toList();
    return new Whole(entries, processor.entryLayout(), processor.sorts());
  }

  private static List<Fault> changedSince(StoredPublication stored, Made made) {
    return made.mended().getOrDefault(stored.id(), List.of()).stream()
        .map(Mends.Mended::mend)
        .filter(mend -> !mend.counts(stored.publication()))
        .map(mend -> mend.changedSince())
        .collect(Collectors.toCollection(ArrayList::new));
  }

  private static List<FaultFound> faults(
      Made made,
      Publication read,
      List<Fault> before,
      List<List<PersonName>> elsewhere,
      Words words) {
    List<Fault> all = new ArrayList<>(before);
    all.addAll(
        new Checks(Citing.prints(made.how().choice(), CitedItem.type(read)), words)
            .of(read, new Checks.Beside(true, elsewhere)));
    return all.stream()
        .map(fault -> new FaultFound(fault, fault.field().map(f -> f.of(read)).orElse("")))
        .toList();
  }
}
