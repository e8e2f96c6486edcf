package org.quietlantern.core.review;

import java.util.HashSet;
import java.util.Set;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.analysis.Analysis;

/** What can be said of a publication that makes it like others. */
public final class Traits {
  /** Shorter words tell nothing. */
  private static final int SHORTEST = 3;

  private Traits() {}

  /**
   * Its headings by label, authors by name, journal, references by DOI, and the words of its title
   * and abstract as they are written, folded.
   */
  public static Set<Trait> of(Publication publication) {
    Set<Trait> traits = new HashSet<>();
    publication.headings().stream()
        .map(HeadingUse::label)
        .forEach(label -> traits.add(new Trait(Trait.Kind.HEADING, label)));
    publication.authors().stream()
        .map(PersonName::spoken)
        .forEach(name -> traits.add(new Trait(Trait.Kind.AUTHOR, name)));
    if (!publication.host().title().isEmpty()) {
      traits.add(new Trait(Trait.Kind.JOURNAL, publication.host().title()));
    }
    publication.cited().dois().forEach(doi -> traits.add(new Trait(Trait.Kind.REFERENCE, doi)));
    Analysis.EXACT.plain(publication.title() + " " + publication.abstractText()).stream()
        .filter(word -> word.length() >= SHORTEST)
        .filter(word -> word.chars().anyMatch(Character::isLetter))
        .forEach(word -> traits.add(new Trait(Trait.Kind.WORD, word)));
    return traits;
  }
}
