/** The shared drive of a group, spoken to by WebDAV, and the files that are written on it. */
package org.quietlantern.server.drive;
