/** The bibliography that each folder is, too. */
package org.quietlantern.server.bibliography;
