/** Controlled terms: what lies below what, and under which names. */
package org.quietlantern.core.vocabulary;
