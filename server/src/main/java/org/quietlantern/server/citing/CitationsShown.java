package org.quietlantern.server.citing;

import java.util.List;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.server.platform.Nullable;

/**
 * Works as they are cited.
 *
 * @param language that it is written in; empty: the style's own
 * @param missing what the style uses that is not done here, in words; none for most
 * @param inText the citation of all of them in a text
 * @param narrative as a sentence names them
 * @param html all entries, with indents that word processors keep when it is pasted
 * @param text all entries without looks
 */
public record CitationsShown(
    StyleShown style,
    String language,
    List<String> missing,
    EntryLayout layout,
    List<CitedEntry> entries,
    List<CitedPart> inText,
    List<CitedPart> narrative,
    String html,
    String text) {

  /** The first work without looks and without a number; as in a text where there is no entry. */
  public String alone() {
    return alone(entries.isEmpty() ? inText : entries.get(0).parts());
  }

  private static String alone(List<CitedPart> parts) {
    return parts.stream()
        .filter(part -> !part.display().equals("left-margin"))
        .flatMap(part -> part.runs().stream())
        .map(CitedPart.CitedRun::text)
        .collect(Collectors.joining())
        .strip();
  }

  /**
   * An entry of a bibliography.
   *
   * @param parts none where the style prints nothing of the work
   * @param faults none where somebody compared the entry with the work; absent where it was not
   *     looked at
   */
  public record CitedEntry(
      String publication, List<CitedPart> parts, @Nullable List<FaultShown> faults) {
    /** Without looks and without a number; empty where the style prints nothing. */
    public String alone() {
      return CitationsShown.alone(parts);
    }
  }
}
