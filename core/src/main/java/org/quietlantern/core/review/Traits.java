package org.quietlantern.core.review;

import java.util.HashSet;
import java.util.Set;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.search.analysis.Analysis;

/** What of a publication may make a group keep it. */
public final class Traits {
  /** Shorter words are of every text. */
  private static final int LETTERS = 3;

  private Traits() {}

  /**
   * Its headings, authors, journal, the DOIs of what it cites, and the words of title and keywords,
   * folded. Words of abstracts tell more of how papers are written than of what they are about.
   */
  public static Set<Trait> of(Publication publication) {
    Set<Trait> traits = new HashSet<>();
    publication.headings().stream()
        .map(HeadingUse::label)
        .forEach(label -> traits.add(new Trait(Trait.Kind.HEADING, label)));
    publication.authors().stream()
        .map(PersonName::spoken)
        .forEach(name -> traits.add(new Trait(Trait.Kind.AUTHOR, name)));
    publication.cited().dois().forEach(doi -> traits.add(new Trait(Trait.Kind.REFERENCE, doi)));
    if (publication.host().isKnown()) {
      traits.add(new Trait(Trait.Kind.JOURNAL, publication.host().title()));
    }
    words(publication.title(), traits);
    publication.keywords().forEach(keyword -> words(keyword, traits));
    return traits;
  }

  private static void words(String text, Set<Trait> traits) {
    Analysis.EXACT.plain(text).stream()
        .filter(word -> word.length() >= LETTERS && word.chars().anyMatch(Character::isLetter))
        .forEach(word -> traits.add(new Trait(Trait.Kind.WORD, word)));
  }
}
