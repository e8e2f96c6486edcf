/** Permanent public names of everything that can be looked at. */
package org.quietlantern.core.link;
