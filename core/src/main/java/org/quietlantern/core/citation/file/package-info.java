/** Bibliographies as files, and as what a clipboard carries. */
package org.quietlantern.core.citation.file;
