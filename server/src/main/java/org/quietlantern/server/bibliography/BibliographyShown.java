package org.quietlantern.server.bibliography;

import java.util.List;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.server.citing.StyleShown;
import org.quietlantern.server.platform.Nullable;

/**
 * The bibliography of a folder.
 *
 * @param ownStyle whether the folder has a style of its own; else it is the group's
 * @param language that it is written in; empty: the style's own
 * @param byHand whether it stands in the folder's order by hand
 * @param sorted whether the style says in which order works stand; else they stand as in the folder
 * @param missing what the style uses that is not done here, in words; none for most
 * @param count of all works; a style without a bibliography has no entries for them
 * @param comparedCount how many were compared with the works themselves
 * @param faulty how many have something that may be wrong
 * @param annotated how many say something below their entry, and {@code agreed}, {@code toBeRead}:
 *     how many of these are that
 * @param chapters the headings, in their order
 * @param certain how many mends are right without looking
 * @param empty public ids of works of which the style prints nothing
 * @param entries those that were asked for
 * @param next from which entry on the next ones are; absent at the end
 */
public record BibliographyShown(
    String folder,
    String name,
    String may,
    StyleShown style,
    boolean ownStyle,
    String language,
    boolean byHand,
    boolean sorted,
    List<String> missing,
    EntryLayout layout,
    int count,
    int comparedCount,
    int faulty,
    int certain,
    int annotated,
    int toBeRead,
    int agreed,
    List<String> chapters,
    List<String> empty,
    List<EntryOfFolder> entries,
    @Nullable Integer next) {}
