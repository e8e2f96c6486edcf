/** How a group reads works: what it mended of what is supplied, and what it compared. */
package org.quietlantern.server.mending;
