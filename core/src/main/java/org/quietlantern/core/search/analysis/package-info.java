/**
 * From text to words: the part of searching that knows no index.
 *
 * <p>{@link org.quietlantern.core.search.analysis.Analysis} makes words of a text, once as they
 * stand and once by their stems, with their places; the same goes for what is typed ({@link
 * org.quietlantern.core.search.analysis.Patterns}), so that a hyphen or an apostrophe means the
 * same on both sides. The rest knows other ways of writing a word: irregular forms and spellings,
 * short forms that a text explains, words in capitals.
 */
package org.quietlantern.core.search.analysis;
