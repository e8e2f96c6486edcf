/** Journals: looked up, with what the sources have of them and what the group may read. */
package org.quietlantern.server.journal;
