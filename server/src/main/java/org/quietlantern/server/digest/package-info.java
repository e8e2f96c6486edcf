/**
 * The digest: a member's letter, at moments of theirs, with what alerts brought and what waits. See
 * docs/decisions/019-digests.md.
 */
package org.quietlantern.server.digest;
