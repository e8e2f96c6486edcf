package org.quietlantern.server.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ties;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.roaringbitmap.RoaringBitmap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a publication relates to what the group has in its folders. */
@Service
@Transactional(readOnly = true)
class KeptTies {
  /** Folders that are told, the closest; the answer says how many more there are. */
  private static final int FOLDERS = 3;

  /** Authors whose kept works are counted, the first. */
  private static final int AUTHORS = 10;

  private final Publications publications;
  private final Folders folders;
  private final Matching matching;

  /**
   * What ties a publication to folders that the reader sees.
   *
   * @param folders the closest first
   * @param more folders that it is tied to besides
   * @param authors of whom other works are kept
   * @param kept how many other works there are in folders
   */
  record TiesShown(List<FolderTie> folders, int more, List<AuthorKept> authors, int kept) {}

  /**
   * @param headings labels of those that works of the folder carry, too
   * @param references how many works both cite
   * @param cites how many works of the folder it cites
   * @param citedBy how many works of the folder cite it
   */
  record FolderTie(
      Folders.FolderName folder, List<String> headings, int references, int cites, int citedBy) {}

  /** {@code works}: how many of theirs are kept, by the name as it is written here. */
  record AuthorKept(String name, int works) {}

  KeptTies(Publications publications, Folders folders, Matching matching) {
    this.publications = publications;
    this.folders = folders;
    this.matching = matching;
  }

  private record Found(Folders.FolderName folder, Ties.Tie tie) {}

  TiesShown of(Member who, String pid) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    Map<Folders.FolderName, RoaringBitmap> all = folders.worksByFolder(who);
    RoaringBitmap kept = new RoaringBitmap();
    for (RoaringBitmap works : all.values()) {
      works.remove(stored.id());
      kept.or(works);
    }
    return matching.look(
        who,
        look -> {
          RoaringBitmap cited = among(look, "citedby: " + stored.pid(), kept);
          Ties ties = new Ties(look.snapshot(), stored.publication());
          List<Found> found = new ArrayList<>();
          all.forEach(
              (folder, works) -> {
                Ties.Tie tie = ties.to(works, cited);
                if (tie.strength() > 0) {
                  found.add(new Found(folder, tie));
                }
              });
          found.sort(Comparator.comparing(one -> -one.tie().strength()));
          return new TiesShown(
              found.stream().limit(FOLDERS).map(KeptTies::shown).toList(),
              Math.max(0, found.size() - FOLDERS),
              authors(look, stored, kept),
              kept.getCardinality());
        });
  }

  private static FolderTie shown(Found one) {
    Ties.Tie tie = one.tie();
    return new FolderTie(
        one.folder(), tie.headings(), tie.references(), tie.cites(), tie.citedBy());
  }

  private static List<AuthorKept> authors(
      Matching.Look look, StoredPublication stored, RoaringBitmap kept) {
    return stored.publication().authors().stream()
        .limit(AUTHORS)
        .map(PersonName::spoken)
        .map(
            name ->
                new AuthorKept(
                    name,
                    among(look, "author: \"" + name.replace('"', ' ') + "\"", kept)
                        .getCardinality()))
        .filter(one -> one.works() > 0)
        .toList();
  }

  private static RoaringBitmap among(Matching.Look look, String line, RoaringBitmap works) {
    return look.snapshot().among(look.compile(Strategy.of(line)), works);
  }
}
