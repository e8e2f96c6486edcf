/** Coming into a group, roles in it, leaving. */
package org.quietlantern.server.membership;
