/** The first place of the frame: what waits for a member, and what was done since their visit. */
package org.quietlantern.server.today;
