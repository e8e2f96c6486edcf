package org.quietlantern.standins.corpus;

import java.util.List;
import org.quietlantern.standins.words.Lexicon;

/** People who work together, somewhere, on something. */
record Lab(
    Lexicon.Place place,
    List<Person> people,
    List<Lexicon.Taxon> taxa,
    List<Lexicon.Light> lights) {}
