package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Line;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Alike;
import org.quietlantern.core.search.Compiled;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Stored;
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
  private static final int AUTHORS = 8;
  private static final int CLOSEST = 5;
  private final Publications publications;
  private final Matching matching;

  /**
   * Where one can go from a publication.
   *
   * @param references how many works it cites in all, here or not; nothing where no source tells
   * @param closest the most alike, with what they share
   */
  record OutwardShown(@Nullable Integer references, List<Way> ways, List<Like> closest) {}

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
    Stored stored = publications.get(publications.canonicalOf(pid).orElse(pid));
    Publication publication = stored.publication();
    return matching.look(
        who,
        look -> {
          Integer references =
              publication.cited().known() ? publication.cited().dois().size() : null;
          return new OutwardShown(references, ways(look, stored), closest(look, stored));
        });
  }

  private static List<Way> ways(Matching.Look look, Stored stored) {
    Publication publication = stored.publication();
    List<Way> ways = new ArrayList<>();
    ways.add(way(look, "cites", "", words("citedby: " + stored.pid())));
    if (!publication.doi().isEmpty()) {
      ways.add(way(look, "citedby", "", words("cites: \"" + publication.doi() + "\"")));
    }
    ways.add(
        way(look, "alike", "", new Line.Held("l1", List.of("a:" + stored.pid()), false, false)));
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
    Strategy asked = new Strategy(List.of(line));
    int count =
        look.snapshot().compile(asked, look.circumstances(), look.library())
                instanceof Compiled.Ready ready
            ? look.snapshot().count(ready)
            : 0;
    return new Way(what, name, StrategyBody.of(asked).lines().get(0), count);
  }

  private List<Like> closest(Matching.Look look, Stored stored) {
    Alike alike = new Alike(look.snapshot());
    List<String> ids =
        alike.to(stored.publication(), stored.pid()).stream().limit(CLOSEST).toList();
    return publications.byPid(ids).stream()
        .map(
            like ->
                new Like(
                    like.pid(),
                    like.publication().title(),
                    sentence(alike.ground(stored.publication(), like.publication()))))
        .toList();
  }

  private static String sentence(Alike.Ground ground) {
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
