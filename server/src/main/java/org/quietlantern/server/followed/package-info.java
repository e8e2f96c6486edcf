/**
 * Feeds of others that a group follows: fetched through the one way out, each entry a record of a
 * source that is the group's own.
 */
package org.quietlantern.server.followed;
