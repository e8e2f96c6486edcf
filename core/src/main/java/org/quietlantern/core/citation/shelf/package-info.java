/** Which citation styles there are, and finding one among them. */
package org.quietlantern.core.citation.shelf;
