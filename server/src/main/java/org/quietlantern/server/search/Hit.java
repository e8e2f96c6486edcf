package org.quietlantern.server.search;

import java.util.List;
import org.quietlantern.core.query.Span;
import org.quietlantern.server.catalogue.Summary;
import org.quietlantern.server.folder.Folders;

/**
 * A publication in a list.
 *
 * @param lit where the words searched for stand in its title
 * @param lamp the reader's own: {@code unlit}, {@code lit} or {@code dim}
 * @param folders of the group that hold it
 */
public record Hit(
    Summary publication, List<Span> lit, String lamp, List<Folders.FolderName> folders) {}
