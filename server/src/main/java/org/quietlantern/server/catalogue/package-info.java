/**
 * The one door for records, and publications as they stand.
 *
 * <p>{@code Catalogue.take} holds a lock, so that the numbers of changes are in the order in which
 * they can be seen: whoever has read up to a number never misses one below it. That lock is why
 * everything about a page is decided before anything is written ({@code Works}), and why nothing
 * slow happens inside.
 *
 * <p>A publication that turned out to be another one keeps its row and points to the older ({@code
 * canonical}). Nothing that knows it is rewritten; whoever reads follows the pointer. Pointers are
 * one step long: joining again moves those that point to what is joined.
 */
package org.quietlantern.server.catalogue;
