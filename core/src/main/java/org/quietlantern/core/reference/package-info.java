/** Files of references that other programs read and write. */
package org.quietlantern.core.reference;
