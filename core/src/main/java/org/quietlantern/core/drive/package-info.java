/** A shared drive as it is spoken to by WebDAV (RFC 4918): paths on it, and what it lists. */
package org.quietlantern.core.drive;
