package org.quietlantern.server.bibliography;

import java.util.List;
import org.quietlantern.server.citing.CitedPart;
import org.quietlantern.server.citing.FaultShown;
import org.quietlantern.server.mending.Compared;
import org.quietlantern.server.platform.Nullable;

/**
 * An entry of a folder's bibliography.
 *
 * @param chapter below which heading it stands; empty for none
 * @param parts none where the style prints nothing of the work
 * @param compared who compared it with the work itself, as long as nothing changed since
 * @param read the most that anybody of the group has read: {@code text}, {@code abstract} or empty
 * @param annotation what is said of it; absent where nothing is
 * @param quoted works that are quoted through it
 */
public record EntryOfFolder(
    String publication,
    String chapter,
    List<CitedPart> parts,
    List<FaultShown> faults,
    @Nullable Compared.CheckedBy compared,
    String read,
    @Nullable BelowEntries.AnnotationBelow annotation,
    List<BelowEntries.QuotedShown> quoted) {}
