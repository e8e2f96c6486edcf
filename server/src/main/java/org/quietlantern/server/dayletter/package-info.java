/** The letter of the day: what waits for somebody, once a day at an hour of theirs. */
package org.quietlantern.server.dayletter;
