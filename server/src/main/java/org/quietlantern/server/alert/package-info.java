/**
 * Saved searches that are watched.
 *
 * <p>An alert has a memory (every publication that it ever matched or was told to pass over) and a
 * number (the change of the catalogue up to which the memory is true). A run looks at what changed
 * since the number, announces what matches and is not remembered, and moves both in one
 * transaction; it can die anywhere and be repeated. The number of an alert never goes back.
 *
 * <p>Runs wait until no harvest is under way: otherwise what is new would depend on where the pages
 * of a source end. A revision ({@code Following}) adds to the memory what it finds of what was here
 * before, and leaves what came since the last run to the next one.
 */
package org.quietlantern.server.alert;
