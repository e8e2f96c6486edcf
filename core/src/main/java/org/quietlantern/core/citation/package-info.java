/** References as text. */
package org.quietlantern.core.citation;
