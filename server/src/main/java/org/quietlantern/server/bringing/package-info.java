/** Files of references that members bring in: read, looked at, taken, taken back. */
package org.quietlantern.server.bringing;
