package org.quietlantern.server.search;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.reference.Included;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.core.reference.ReferenceWriter;
import org.quietlantern.core.reference.RisWriter;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All that a search finds, as a file; lists show the first thousand. */
@Service
@Transactional(readOnly = true)
class ResultFiles {
  /** Publications that one file holds. */
  static final int MOST = 20_000;

  private static final int AT_ONCE = 500;
  private static final ReferenceWriter RIS = new RisWriter(Included.ALL);
  private final Trail trail;
  private final Matching matching;
  private final Publications publications;
  private final Mends mends;
  private final Citing citing;
  private final LanternProperties properties;

  ResultFiles(
      Trail trail,
      Matching matching,
      Publications publications,
      Mends mends,
      Citing citing,
      LanternProperties properties) {
    this.mends = mends;
    this.citing = citing;
    this.trail = trail;
    this.matching = matching;
    this.publications = publications;
    this.properties = properties;
  }

  /** In the order of coming here; refused where there are too many, with how many there are. */
  String ris(Member who, String q) {
    Strategy strategy = trail.get(who, q).strategy();
    int[] found = matching.look(who, look -> look.snapshot().all(look.compile(strategy)).toArray());
    if (found.length > MOST) {
      throw Refusal.unusable(
          "too-many",
          "%,d publications are more than the %,d that a file holds; take them by years."
              .formatted(found.length, MOST));
    }
    StringBuilder file = new StringBuilder();
    for (int from = 0; from < found.length; from += AT_ONCE) {
      int[] some = Arrays.copyOfRange(found, from, Math.min(found.length, from + AT_ONCE));
      file.append(RIS.file(items(who, some)));
    }
    return file.toString();
  }

  /** Entries of one bibliography. */
  private static final int MOST_ENTRIES = 5_000;

  /** All that a search finds as a bibliography in the group's style. */
  BibliographyFile bibliography(Member who, String q) {
    Strategy strategy = trail.get(who, q).strategy();
    int[] found = matching.look(who, look -> look.snapshot().all(look.compile(strategy)).toArray());
    if (found.length > MOST_ENTRIES) {
      throw Refusal.unusable(
          "too-many",
          "%,d publications are more than the %,d that a bibliography holds; narrow the search, or take them as RIS."
              .formatted(found.length, MOST_ENTRIES));
    }
    return citing.bibliography(
        who,
        trail.spoken(strategy),
        publications.byId(Viewer.of(who), Arrays.stream(found).boxed().toList()));
  }

  /** Publications that one address can name. */
  private static final int MOST_NAMED = 500;

  /** Some publications by their ids, each once. */
  String ris(Member who, List<String> ids) {
    return RIS.file(items(who, publications.getAll(Viewer.of(who), ids, MOST_NAMED)));
  }

  private List<Reference> items(Member who, int[] ids) {
    return items(who, publications.byId(Viewer.of(who), Arrays.stream(ids).boxed().toList()));
  }

  private List<Reference> items(Member who, List<StoredPublication> all) {
    Map<Integer, List<Mends.Mended>> mended =
        mends.of(who, all.stream().map(StoredPublication::id).toList());
    return all.stream()
        .map(
            stored ->
                Reference.of(
                    stored.pid(), Mends.read(stored, mended), properties.stableLink(stored.pid())))
        .toList();
  }
}
