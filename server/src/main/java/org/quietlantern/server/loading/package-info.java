/**
 * Loading files of records, into sources that have no address.
 *
 * <p>A file comes by the page ({@code LoadController}) or is put into the folder by {@code
 * ./lantern load}; a row of {@code load} says so. {@code LoadJob} reads one after the other while
 * they stream in and takes page by page through the same door as a harvest, each in one transaction
 * with the note how far it is: killed, it goes on there.
 */
package org.quietlantern.server.loading;
