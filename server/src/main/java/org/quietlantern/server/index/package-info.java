/**
 * This process's searchable copy of the catalogue.
 *
 * <p>The database is what is true; the copy follows it by the numbers of changes, once a second and
 * whenever somebody needs a state that is newer. Every server has a copy of its own, in its data
 * folder. It can be deleted at any time: {@code IndexKeeper} opens another beside the broken one,
 * fills it and puts it in its place; until then the old state is searched, with its date, and
 * {@code Trouble} says once that it stands still.
 */
package org.quietlantern.server.index;
