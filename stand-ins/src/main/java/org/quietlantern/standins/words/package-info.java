/** How the made-up literature is put into words: tables of words, and templates with choices. */
package org.quietlantern.standins.words;
