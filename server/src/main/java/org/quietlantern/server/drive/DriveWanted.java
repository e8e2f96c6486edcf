package org.quietlantern.server.drive;

import java.util.List;
import org.quietlantern.server.platform.Nullable;

/**
 * What a file on the drive is.
 *
 * @param what {@code references}, {@code bibliography} or {@code text}
 * @param format of references: as a preview of exporting names it; of a bibliography: {@code docx},
 *     {@code html} or {@code text}; of a text: absent
 * @param folder public id: of references or of a bibliography
 * @param q of references: all that a settled search finds
 * @param round of references: public id of a round
 * @param publications of references: chosen ones, in their order
 * @param text public id of a text of the group
 * @param order of a folder's references, as lists have it; absent: the usual one
 * @param with what goes along with references, as exporting offers it; absent: nothing
 * @param commands whether letters beyond ASCII are commands of LaTeX; absent: no
 * @param annotations of a bibliography: {@code none}, {@code agreed} or {@code all}; absent: all
 */
public record DriveWanted(
    String what,
    @Nullable String format,
    @Nullable String folder,
    @Nullable String q,
    @Nullable String round,
    @Nullable List<String> publications,
    @Nullable String text,
    @Nullable String order,
    @Nullable List<String> with,
    @Nullable Boolean commands,
    @Nullable String annotations) {
  /** Whether it can change, so that keeping it up to date makes sense. */
  boolean changes() {
    return !what.equals("text");
  }
}
