package org.quietlantern.core.citation;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.ItemDate;
import org.quietlantern.core.citation.csl.ItemName;
import org.quietlantern.core.citation.csl.Particles;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.VersionKind;

/** What a citation style is told of a publication (CSL 1.0.2, appendices III and IV). */
public final class CitedItem {
  /** Roles by which sources name them, as the specification names them. */
  private static final Map<String, String> ROLES =
      Map.of(
          Contributor.AUTHOR,
          "author",
          "editor",
          "editor",
          "translator",
          "translator",
          "compiler",
          "compiler",
          "illustrator",
          "illustrator",
          "interviewer",
          "interviewer",
          "director",
          "director",
          "composer",
          "composer");

  /** A family name with what belongs behind all names: <i>King Jr.</i> */
  private static final Pattern SUFFIX = Pattern.compile("(.+?),? +((?:Jr|Sr)\\.?|I{2,3}|IV)");

  private CitedItem() {}

  /** {@code id} is any, and unique among what is cited together. */
  public static Item of(String id, Publication publication) {
    Map<String, String> texts = new HashMap<>();
    texts.put("title", title(publication));
    texts.put("publisher", publication.publisher());
    texts.put("language", publication.language());
    texts.put("DOI", publication.doi());
    texts.put("number-of-pages", publication.pages() > 0 ? "" + publication.pages() : "");
    publication.isbns().stream().findFirst().ifPresent(isbn -> texts.put("ISBN", isbn));
    host(publication, texts);
    if (isPreprint(publication)) {
      texts.put("genre", "Preprint");
    } else if (publication.kind() == Kind.THESIS) {
      texts.put("genre", "Thesis");
    }
    texts.values().removeIf(String::isEmpty);
    Map<String, ItemDate> dates = new HashMap<>();
    publication.issued().ifPresent(date -> dates.put("issued", date(date)));
    return new Item(id, type(publication), texts, names(publication), dates);
  }

  /** In the language of the work, with what it was translated as in brackets. */
  private static String title(Publication publication) {
    String original = publication.originalTitle();
    return original.isEmpty() || original.equals(publication.title())
        ? publication.title()
        : original + " [" + publication.title() + "]";
  }

  private static void host(Publication publication, Map<String, String> texts) {
    Host host = publication.host();
    texts.put("container-title", host.title());
    texts.put("ISSN", host.issn());
    texts.put("volume", host.volume());
    texts.put("issue", host.issue());
    texts.put("page", host.pages("-"));
    // Where a preprint lies publishes it, and is no journal around it.
    if (isPreprint(publication)) {
      texts.put("publisher", publication.where());
      texts.remove("container-title");
    }
  }

  /** Whether it is cited as a preprint: by its kind, or as nothing later is known. */
  public static boolean isPreprint(Publication publication) {
    return publication.kind() == Kind.PREPRINT || publication.version() == VersionKind.PREPRINT;
  }

  /** Its type (appendix III). */
  public static String type(Publication publication) {
    if (isPreprint(publication)) {
      return "article";
    }
    return switch (publication.kind()) {
      case BOOK -> "book";
      case CHAPTER -> "chapter";
      case THESIS -> "thesis";
      case REPORT -> "report";
      case CONFERENCE_PAPER -> "paper-conference";
      case DATASET -> "dataset";
      default -> publication.host().isKnown() ? "article-journal" : "document";
    };
  }

  private static Map<String, List<ItemName>> names(Publication publication) {
    Map<String, List<ItemName>> names = new HashMap<>();
    for (Contributor one : publication.contributors()) {
      String role = ROLES.get(one.role());
      if (role != null) {
        names.computeIfAbsent(role, r -> new ArrayList<>()).add(name(one));
      }
    }
    return names;
  }

  private static ItemName name(Contributor one) {
    String family = one.name().family();
    if (one.body()) {
      return new ItemName("", "", "", "", "", false, false, family);
    }
    Matcher behind = SUFFIX.matcher(family);
    boolean has = behind.matches();
    return Particles.of(
        new ItemName(
            has ? behind.group(1) : family,
            one.name().given(),
            "",
            "",
            has ? behind.group(2) : "",
            false,
            false,
            ""));
  }

  private static ItemDate date(PartialDate date) {
    return new ItemDate(
        List.of(new ItemDate.Parts(date.year(), date.month(), date.day())), false, "");
  }
}
