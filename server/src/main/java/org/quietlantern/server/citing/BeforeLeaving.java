package org.quietlantern.server.citing;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.quietlantern.core.citation.CitedItem;
import org.quietlantern.core.citation.check.Checks;
import org.quietlantern.core.citation.check.Fault;
import org.quietlantern.core.citation.check.Words;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.catalogue.AuthorsBySource;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.mending.Mends;
import org.springframework.stereotype.Service;

/** Looks at works before they leave (rule C2). */
@Service
public class BeforeLeaving {
  private final AuthorsBySource authorsBySource;

  BeforeLeaving(AuthorsBySource authorsBySource) {
    this.authorsBySource = authorsBySource;
  }

  /** Begins to look at works together; {@code mended}: by publication (row number). */
  public Look begin(StyleChoice choice, Map<Integer, List<Mends.Mended>> mended) {
    return new Look(choice, mended);
  }

  /** What is wrong with works that are not here yet, in sentences, each for itself. */
  public List<List<String>> ofNew(StyleChoice choice, List<Publication> works) {
    Words words = new Words();
    works.forEach(work -> words.add(work.abstractText()).add(work.title()));
    Checks.Beside alone = new Checks.Beside(true, List.of());
    return works.stream()
        .map(
            work ->
                new Checks(Citing.prints(choice, CitedItem.type(work)), words)
                    .of(work, alone).stream().map(Fault::sentence).toList())
        .toList();
  }

  /** Some works that are looked at together; each tells how words are written in the others. */
  public final class Look {
    private final StyleChoice choice;
    private final Map<Integer, List<Mends.Mended>> mended;
    private final Words words = new Words();
    private final Map<String, Publication> read = new HashMap<>();
    private final Map<String, List<Fault>> changed = new HashMap<>();
    private final Map<String, List<List<PersonName>>> elsewhere = new HashMap<>();

    private Look(StyleChoice choice, Map<Integer, List<Mends.Mended>> mended) {
      this.choice = choice;
      this.mended = mended;
    }

    /** Takes some more in. */
    public void add(List<StoredPublication> works) {
      Map<Integer, List<List<PersonName>>> authors =
          authorsBySource.of(works.stream().map(StoredPublication::id).toList());
      for (StoredPublication stored : works) {
        Publication reads = Mends.read(stored, mended);
        words.add(stored.publication().abstractText()).add(stored.publication().title());
        List<Mends.Mended> mends = mended.getOrDefault(stored.id(), List.of());
        mends.forEach(one -> words.learn(one.mend().value()));
        read.put(stored.pid(), reads);
        changed.put(
            stored.pid(),
            mends.stream()
                .map(Mends.Mended::mend)
                .filter(mend -> !mend.counts(stored.publication()))
                .map(mend -> mend.changedSince())
                .toList());
        if (reads.contributors().equals(stored.publication().contributors())) {
          // What the group has settled itself is settled.
          elsewhere.put(stored.pid(), authors.getOrDefault(stored.id(), List.of()));
        }
      }
    }

    /** A work as the group reads it. */
    public Publication read(String pid) {
      return read.get(pid);
    }

    /** What is wrong with a work, the worst first. To be asked when all are in. */
    public List<FaultShown> faults(String pid) {
      Publication work = read.get(pid);
      Checks checks = new Checks(Citing.prints(choice, CitedItem.type(work)), words);
      Checks.Beside beside = new Checks.Beside(true, elsewhere.getOrDefault(pid, List.of()));
      return Stream.concat(changed.get(pid).stream(), checks.of(work, beside).stream())
          .map(fault -> FaultShown.of(fault, work))
          .toList();
    }
  }
}
