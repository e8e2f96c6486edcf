package org.quietlantern.core.text;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.holdings.Way;
import org.quietlantern.core.publication.Copy;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.VersionKind;

/** All ways from a publication to its text, the first to be tried first (rule T1). */
public final class TextWays {
  private final String resolver;

  /**
   * How somebody comes to a publication today.
   *
   * @param access of the group (rule L7)
   * @param own by what rights of their own somebody may read it, in words
   * @param shelf where it stands in print, in words
   * @param lent who takes requests for it, in words
   */
  public record Reach(
      Way access, Optional<String> own, Optional<String> shelf, Optional<String> lent) {
    private boolean isReadable() {
      return access.access().isReadable();
    }
  }

  /** {@code resolver}: what stands before a DOI, so that it leads to its publisher. */
  public TextWays(String resolver) {
    this.resolver = resolver;
  }

  /** At least one unless nobody is known who wrote it. */
  public List<TextWay> of(Publication publication, Reach reach) {
    List<TextWay> ways = new ArrayList<>();
    List<Copy> best = open(publication, copy -> isBest(copy, publication));
    List<Copy> others = open(publication, copy -> !isBest(copy, publication));
    best.forEach(copy -> ways.add(way(TextWay.What.OPEN_COPY, copy, openGround(copy))));
    boolean onlyOthersAreOpen = reach.access().access() == Access.OPEN && !others.isEmpty();
    if (best.isEmpty() && !onlyOthersAreOpen) {
      Optional<String> ground =
          reach.isReadable() ? Optional.of(reach.access().ground()) : reach.own();
      ground.flatMap(why -> publisher(publication, why)).ifPresent(ways::add);
    }
    others.forEach(
        copy -> ways.add(way(TextWay.What.VERSION, copy, "the " + named(copy.version()))));
    reach.shelf().map(on -> asked(TextWay.What.SHELF, publication, on)).ifPresent(ways::add);
    reach.lent().map(by -> asked(TextWay.What.REQUEST, publication, by)).ifPresent(ways::add);
    if (!publication.authors().isEmpty()) {
      ways.add(
          asked(
              TextWay.What.AUTHOR,
              publication,
              "a letter to " + publication.authors().get(0).spoken()));
    }
    return ways;
  }

  /** The text itself before what is only about it, and a page before a file. */
  private static List<Copy> open(Publication publication, Predicate<Copy> which) {
    return publication.copies().stream()
        .filter(Copy::open)
        .filter(which)
        .sorted(Comparator.comparing(Copy::use))
        .toList();
  }

  private static boolean isBest(Copy copy, Publication publication) {
    return copy.version() == publication.version();
  }

  /** Where a source says that it is, else where its DOI leads. */
  private Optional<TextWay> publisher(Publication publication, String ground) {
    VersionKind version = publication.version();
    return publication.copies().stream()
        .filter(copy -> isBest(copy, publication))
        .map(Copy::address)
        .findFirst()
        .or(() -> Optional.of(publication.doi()).filter(d -> !d.isEmpty()).map(resolver::concat))
        .map(at -> new TextWay(TextWay.What.PUBLISHER, at, Copy.Use.ABOUT, version, ground));
  }

  private static TextWay way(TextWay.What what, Copy copy, String ground) {
    return new TextWay(what, copy.address(), copy.use(), copy.version(), ground);
  }

  private static TextWay asked(TextWay.What what, Publication publication, String ground) {
    return new TextWay(what, "", Copy.Use.ABOUT, publication.version(), ground);
  }

  private static String openGround(Copy copy) {
    return switch (copy.use()) {
      case PAGE -> "open to all, as a page";
      case FILE -> "open to all, as a file";
      case ABOUT -> "open to all, from its page";
    };
  }

  private static String named(VersionKind version) {
    return version == VersionKind.ACCEPTED ? "accepted manuscript" : version.word();
  }
}
