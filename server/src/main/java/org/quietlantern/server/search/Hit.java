package org.quietlantern.server.search;

import java.util.List;
import org.quietlantern.core.query.Span;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.review.Readings;

/**
 * A publication in a list.
 *
 * @param lit where the words searched for stand in its title
 * @param metIn fields in which they were met, where the title has none of them
 * @param lamp the reader's own: {@code unlit}, {@code lit} or {@code dim}
 * @param opened whether the reader opened it before
 * @param read the most that anybody of the group has read of it; absent where nobody did
 * @param folders that hold it: of the group, and the reader's own pile
 */
public record Hit(
    Summary publication,
    List<Span> lit,
    List<String> metIn,
    String lamp,
    boolean opened,
    @Nullable Readings.BestRead read,
    List<Folders.FolderName> folders) {}
