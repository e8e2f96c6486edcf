package org.quietlantern.core.vocabulary;

import java.util.ArrayList;
import java.util.List;

/**
 * A term of a scheme, as in SKOS.
 *
 * @param label its preferred name
 * @param names its other names
 * @param broader URIs of those right above it
 * @param related URIs of those beside it
 * @param note what it is used for: definitions and scope notes, a line each; empty where there is
 *     none
 * @param aspects URIs of the respects in which a publication can be about it
 * @param fate what became of it
 * @param said its names and notes as its file says them, in every language; empty where it came
 *     from no file
 */
public record Concept(
    String uri,
    String scheme,
    String label,
    List<String> names,
    List<String> broader,
    List<String> related,
    String note,
    List<String> aspects,
    Fate fate,
    List<OtherStatement> said) {
  public Concept {
    names = List.copyOf(names);
    broader = List.copyOf(broader);
    related = List.copyOf(related);
    aspects = List.copyOf(aspects);
    said = List.copyOf(said);
  }

  /**
   * What became of a term in the course of its scheme (rule H4).
   *
   * @param retired whether new publications no longer get it
   * @param replacedBy URIs of what took its place; several where it was split
   * @param former what it was called before; known to us only, not a part of SKOS
   */
  public record Fate(boolean retired, List<String> replacedBy, List<String> former) {
    public static final Fate IN_USE = new Fate(false, List.of(), List.of());

    public Fate {
      replacedBy = List.copyOf(replacedBy);
      former = List.copyOf(former);
    }
  }

  /** A term with names and a place in the tree, and nothing else. */
  public static Concept plain(
      String uri, String scheme, String label, List<String> names, List<String> broader) {
    return new Concept(
        uri, scheme, label, names, broader, List.of(), "", List.of(), Fate.IN_USE, List.of());
  }

  public Concept with(Fate other) {
    return new Concept(uri, scheme, label, names, broader, related, note, aspects, other, said);
  }

  /** What its file says; of a term that came from no file, what is known of it. */
  List<OtherStatement> saidOrRead() {
    if (!said.isEmpty()) {
      return said;
    }
    List<OtherStatement> known = new ArrayList<>();
    known.add(new OtherStatement("prefLabel", "", label));
    names.forEach(name -> known.add(new OtherStatement("altLabel", "", name)));
    if (!note.isEmpty()) {
      known.add(new OtherStatement("scopeNote", "", note));
    }
    return known;
  }
}
