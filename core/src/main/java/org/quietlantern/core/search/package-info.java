/**
 * Searching the catalogue: {@link org.quietlantern.core.search.CatalogueIndex} is a Lucene copy of
 * it, {@link org.quietlantern.core.search.Snapshot} one state of that copy in which a compiled
 * strategy is counted, listed, matched and explained. The same compiled query serves searches and
 * alerts.
 */
package org.quietlantern.core.search;
