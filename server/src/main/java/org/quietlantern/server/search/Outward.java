package org.quietlantern.server.search;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.SimilarPublications;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.StrategyBody;
import org.quietlantern.server.matching.StrategyBody.LineBody;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The ways from a publication to others; each is a line of a sheet. */
@Service
@Transactional(readOnly = true)
class Outward {
  /** Authors whose other works are counted; the page says how many are left out. */
  private static final int AUTHORS = 40;

  private static final int CLOSEST = 5;
  private final Publications publications;
  private final Matching matching;

  /**
   * Where one can go from a publication.
   *
   * @param references how many works it cites in all, here or not; nothing where no source tells
   * @param elsewhere DOIs of those that are not here
   * @param authorsLeft authors beyond the first, who were not looked up
   * @param closest the most alike, with what they share
   * @param counted the day on which all this was counted
   */
  record OutwardShown(
      @Nullable Integer references,
      List<String> elsewhere,
      List<Way> ways,
      int authorsLeft,
      List<Like> closest,
      LocalDate counted) {}

  /**
   * One way.
   *
   * @param what {@code cites}, {@code citedby}, {@code alike} or {@code author}
   * @param name of the author
   * @param line that finds them
   */
  record Way(String what, String name, LineBody line, int count) {}

  /** {@code ground}: what it shares, as a sentence. */
  record Like(String id, String title, String ground) {}

  Outward(Publications publications, Matching matching) {
    this.publications = publications;
    this.matching = matching;
  }

  OutwardShown of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    Publication publication = stored.publication();
    return matching.look(
        who,
        look -> {
          Integer references =
              publication.cited().known() ? publication.cited().dois().size() : null;
          SimilarPublications alike = new SimilarPublications(look.snapshot(), publication);
          List<String> found = alike.found(stored.pid());
          return new OutwardShown(
              references,
              publications.notHere(Viewer.of(who), publication.cited().dois()),
              ways(look, stored, found),
              Math.max(0, publication.authors().size() - AUTHORS),
              closest(who, alike, found),
              look.circumstances().today());
        });
  }

  private static List<Way> ways(Matching.Look look, StoredPublication stored, List<String> alike) {
    Publication publication = stored.publication();
    List<Way> ways = new ArrayList<>();
    ways.add(way(look, "cites", "", words("citedby: " + stored.pid())));
    if (!publication.doi().isEmpty()) {
      ways.add(way(look, "citedby", "", words("cites: \"" + publication.doi() + "\"")));
    }
    Line held = new Line.Held("l1", List.of("a:" + stored.pid()), false, false);
    ways.add(new Way("alike", "", body(held), alike.size()));
    publication.authors().stream()
        .map(PersonName::spoken)
        .limit(AUTHORS)
        .forEach(
            name ->
                ways.add(
                    way(
                        look,
                        "author",
                        name,
                        words("author: \"" + name.replace('"', ' ') + "\""))));
    return ways;
  }

  private static Line words(String text) {
    return new Line.Words("l1", text, false, Set.of());
  }

  private static Way way(Matching.Look look, String what, String name, Line line) {
    return new Way(what, name, body(line), look.count(new Strategy(List.of(line))));
  }

  private static LineBody body(Line line) {
    return StrategyBody.of(new Strategy(List.of(line))).lines().get(0);
  }

  private List<Like> closest(Member who, SimilarPublications alike, List<String> found) {
    return publications.byPid(Viewer.of(who), found.stream().limit(CLOSEST).toList()).stream()
        .map(
            like ->
                new Like(
                    like.pid(),
                    like.publication().title(),
                    sentence(alike.ground(like.publication()))))
        .toList();
  }

  private static String sentence(SimilarPublications.Ground ground) {
    List<String> parts = new ArrayList<>();
    if (ground.cites()) {
      parts.add("one cites the other");
    }
    if (ground.references() > 0) {
      parts.add(
          "both cite " + ground.references() + (ground.references() == 1 ? " work" : " works"));
    }
    if (!ground.headings().isEmpty()) {
      parts.add("headings: " + String.join(", ", ground.headings()));
    }
    if (!ground.words().isEmpty()) {
      parts.add("words: " + String.join(", ", ground.words()));
    }
    return String.join("; ", parts);
  }
}
