package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Namesakes;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.platform.Refusal;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;

/**
 * Who may be behind the name of an author: people by their ORCIDs, and names of whom no source has
 * one. Whether they are the same a person has to say.
 */
@Service
class SamePeople {
  /** Works that are looked at, those that came last; the answer says of how many. */
  private static final int MOST = 500;

  private static final int TITLES = 3;
  private final Publications publications;
  private final Matching matching;

  /**
   * An author, and whoever else has that name.
   *
   * @param people who may be that author; the one asked for comes first, the others by works
   * @param looked at so many works, of {@code found} by somebody of the family name
   */
  record AuthorAsked(String name, List<PersonNamed> people, int looked, int found) {}

  /**
   * Somebody who may be an author.
   *
   * @param name as it is written last
   * @param orcid empty where no source has one
   * @param line of words that finds their works, after {@code author:}
   * @param affiliations as supplied, at most three
   * @param titles of works, at most three, those that came last
   */
  record PersonNamed(
      String name,
      String orcid,
      String line,
      int works,
      List<String> affiliations,
      List<String> titles) {}

  SamePeople(Publications publications, Matching matching) {
    this.publications = publications;
    this.matching = matching;
  }

  /** {@code n}: which of its authors, from 0; unknown where there is none. */
  AuthorAsked of(Member who, String publication, int n) {
    StoredPublication stored = publications.get(Viewer.of(who), publication);
    List<Contributor> authors = authors(stored);
    if (n < 0 || n >= authors.size()) {
      throw Refusal.unknown();
    }
    Contributor asked = authors.get(n);
    RoaringBitmap found =
        matching.look(
            who,
            look ->
                look.snapshot()
                    .all(look.compile(Strategy.of("author: " + quoted(asked.name().family())))));
    int[] ids = found.toArray();
    List<Integer> last = Arrays.stream(ids).skip(Math.max(0, ids.length - MOST)).boxed().toList();
    Map<String, Works> people = new LinkedHashMap<>();
    people.put(key(asked), new Works(asked));
    publications.byId(Viewer.of(who), last).stream()
        .sorted(Comparator.comparing(StoredPublication::id).reversed())
        .forEach(
            work ->
                authors(work).stream()
                    .filter(author -> Namesakes.mayBeOne(author.name(), asked.name()))
                    .forEach(
                        author ->
                            people
                                .computeIfAbsent(key(author), key -> new Works(author))
                                .add(author, work)));
    Works first = people.remove(key(asked));
    List<PersonNamed> named = new ArrayList<>();
    named.add(first.named());
    people.values().stream()
        .map(Works::named)
        .sorted(Comparator.comparingInt(PersonNamed::works).reversed())
        .forEach(named::add);
    return new AuthorAsked(asked.name().spoken(), named, last.size(), ids.length);
  }

  private static List<Contributor> authors(StoredPublication work) {
    return work.publication().contributors().stream().filter(Contributor::isAuthor).toList();
  }

  private static String key(Contributor author) {
    return author.orcid().isEmpty() ? author.name().spoken() : author.orcid();
  }

  private static String quoted(String words) {
    return "\"" + words.replace('"', ' ') + "\"";
  }

  /** What is known of one of them. */
  private static final class Works {
    private final Contributor author;
    private final List<String> titles = new ArrayList<>();
    private final List<String> affiliations = new ArrayList<>();
    private int count;

    Works(Contributor author) {
      this.author = author;
    }

    void add(Contributor as, StoredPublication work) {
      count++;
      if (titles.size() < TITLES) {
        titles.add(work.publication().title());
      }
      as.affiliations().stream()
          .filter(one -> affiliations.size() < TITLES && !affiliations.contains(one))
          .forEach(affiliations::add);
    }

    PersonNamed named() {
      return new PersonNamed(
          author.name().spoken(),
          author.orcid(),
          quoted(key(author)),
          count,
          List.copyOf(affiliations),
          List.copyOf(titles));
    }
  }
}
