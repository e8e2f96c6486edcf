/**
 * The rules of following a literature and what has to be computed for them. Plain Java: time comes
 * in as an argument, ids as values, and nothing here knows of databases, the web or mail.
 */
package org.quietlantern.core;
