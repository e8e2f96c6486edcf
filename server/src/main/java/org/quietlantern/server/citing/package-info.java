/** Citation styles, and works as they are cited in one. */
package org.quietlantern.server.citing;
