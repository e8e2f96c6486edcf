package org.quietlantern.core.publication;

import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;

/** In which respects a publication changed. */
public enum ChangeKind {
  /** It came. */
  NEW,
  RETRACTED,
  /** A correction or an erratum of it was published. */
  CORRECTED,
  /** An expression of concern was published. */
  CONCERN,
  /** It was a preprint or an accepted manuscript, and appeared. */
  FINAL,
  /** It can be read by everybody since. */
  OPENED,
  /** Its title or abstract, or their language. */
  TEXT,
  /** Where copies are, or that none is open to all any more. */
  ACCESS,
  /** Its headings or keywords. */
  HEADINGS,
  /** What it cites. */
  CITED,
  /** Anything else that is known of it. */
  FIELDS,
  /** Other sources supply it now; what is known of it is the same. */
  SUPPLIED,
  /** It and another turned out to be one work. */
  JOINED,
  /** No source supplies it any more. */
  WITHDRAWN,
  /** One supplies it again. */
  RETURNED;

  /** As it is stored and shown. */
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** By their words. */
  public static Set<ChangeKind> named(Collection<String> words) {
    Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
    words.forEach(word -> kinds.add(valueOf(word.toUpperCase(Locale.ROOT))));
    return kinds;
  }

  /** How the winning values differ; empty where they do not. */
  public static Set<ChangeKind> between(Publication before, Publication after) {
    Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
    Set<Relations.Notice> former = Set.copyOf(before.relations().notices());
    Set<Relations.Notice> notices = Set.copyOf(after.relations().notices());
    notices.stream().filter(notice -> !former.contains(notice)).forEach(n -> kinds.add(of(n)));
    if (!notices.containsAll(former)) {
      kinds.add(FIELDS);
    }
    if (before.version() != after.version()) {
      kinds.add(after.version() == VersionKind.FINAL ? FINAL : FIELDS);
    }
    add(kinds, TEXT, before, after, ChangeKind::texts);
    if (after.open() && !before.open()) {
      kinds.add(OPENED);
    } else {
      add(kinds, ACCESS, before, after, p -> List.of(p.open(), p.copies()));
    }
    add(kinds, HEADINGS, before, after, p -> List.of(p.headings(), p.keywords()));
    add(kinds, CITED, before, after, Publication::cited);
    add(kinds, FIELDS, before, after, ChangeKind::others);
    return kinds;
  }

  private static void add(
      Set<ChangeKind> kinds,
      ChangeKind kind,
      Publication before,
      Publication after,
      Function<Publication, Object> what) {
    if (!what.apply(before).equals(what.apply(after))) {
      kinds.add(kind);
    }
  }

  private static ChangeKind of(Relations.Notice notice) {
    return switch (notice.kind()) {
      case "retraction" -> RETRACTED;
      case "correction", "erratum" -> CORRECTED;
      case "expression of concern" -> CONCERN;
      default -> FIELDS;
    };
  }

  private static List<Object> texts(Publication p) {
    return List.of(p.title(), p.originalTitle(), p.abstractText(), p.language());
  }

  /** Whatever no other kind is about. */
  private static List<Object> others(Publication p) {
    return List.of(
        p.kind(),
        p.authors(),
        p.date(),
        p.host(),
        p.publisher(),
        p.doi(),
        p.relations().versionOf(),
        p.relations().noticeOf(),
        p.pages(),
        p.studied(),
        p.figures(),
        p.issued(),
        p.identifiers(),
        p.contributors());
  }
}
