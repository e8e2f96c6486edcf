/**
 * Feeds of others, as sources of records: Atom (RFC 4287), RSS 2.0 and 1.0, with what journals say
 * beside (Dublin Core, PRISM). Of an entry comes a work, as far as it says one; lists of feeds are
 * OPML. Everything in them is hostile.
 */
package org.quietlantern.core.newsfeed;
