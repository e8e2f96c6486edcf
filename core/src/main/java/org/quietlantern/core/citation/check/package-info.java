/**
 * What is wrong in what is known of a work before it is cited, and how it is mended (rules C2, C3).
 */
package org.quietlantern.core.citation.check;
