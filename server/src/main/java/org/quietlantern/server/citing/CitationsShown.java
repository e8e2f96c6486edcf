package org.quietlantern.server.citing;

import java.util.List;
import org.quietlantern.core.citation.csl.EntryLayout;

/**
 * Works as they are cited.
 *
 * @param language that it is written in; empty: the style's own
 * @param missing what the style uses that is not done here, in words; none for most
 * @param inText the citation of all of them in a text
 * @param narrative the first of them as a sentence names it
 * @param html all entries, with indents that word processors keep when it is pasted
 * @param text all entries without looks
 */
public record CitationsShown(
    StyleShown style,
    String language,
    List<String> missing,
    EntryLayout layout,
    List<EntryShown> entries,
    List<CitedPart> inText,
    List<CitedPart> narrative,
    String html,
    String text) {

  /** An entry of a bibliography; no parts where the style prints nothing of the work. */
  public record EntryShown(String publication, List<CitedPart> parts) {}
}
