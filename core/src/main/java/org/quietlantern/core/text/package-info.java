/** From a record to its text: the ways, and what is done with a text. */
package org.quietlantern.core.text;
