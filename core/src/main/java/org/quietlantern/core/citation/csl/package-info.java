/**
 * A processor of the Citation Style Language, after the specification of CSL 1.0.2. Names of things
 * are those of the specification.
 */
package org.quietlantern.core.citation.csl;
