package org.quietlantern.server.citing;

import java.util.Locale;
import org.quietlantern.core.citation.check.CitedField;
import org.quietlantern.core.citation.check.Fault;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.platform.Nullable;

/**
 * Something that is wrong, or may be.
 *
 * @param words in a word or two
 * @param field that it is about, as mends name it; absent for the work itself
 * @param fieldWords that field for people
 * @param reads what the group reads there
 * @param mend what would stand there instead; empty where only a person can tell
 * @param certain whether the mend is right without looking
 */
public record FaultShown(
    String kind,
    String words,
    String sentence,
    @Nullable String field,
    @Nullable String fieldWords,
    String reads,
    String mend,
    boolean certain) {

  static FaultShown of(Fault fault, Publication read) {
    return new FaultShown(
        fault.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
        fault.kind().words(),
        fault.sentence(),
        fault.field().map(CitedField::word).orElse(null),
        fault.field().map(CitedField::words).orElse(null),
        fault.field().map(field -> field.of(read)).orElse(""),
        fault.mend(),
        fault.certain());
  }
}
