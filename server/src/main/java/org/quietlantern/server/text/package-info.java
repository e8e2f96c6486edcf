/** From a publication to its text. */
package org.quietlantern.server.text;
