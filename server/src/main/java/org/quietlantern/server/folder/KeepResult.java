package org.quietlantern.server.folder;

import java.util.List;

/**
 * What keeping came to.
 *
 * @param publications how many were meant
 * @param added how many of them were not in the folder before
 * @param already none was added
 * @param keeper who had the last one there first
 * @param elsewhere other folders that hold the last one
 */
public record KeepResult(
    String folderId,
    String folder,
    int publications,
    int added,
    boolean already,
    String keeper,
    List<String> elsewhere) {}
