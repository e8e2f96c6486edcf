/** The reading place: texts that a group has, and what is in them. */
package org.quietlantern.server.reading;
