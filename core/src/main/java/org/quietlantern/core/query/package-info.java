/**
 * What a member types, as a tree. {@link org.quietlantern.core.query.Parser} reads a line into
 * {@link org.quietlantern.core.query.Term}s or says what is wrong and where; {@link
 * org.quietlantern.core.query.Printer} writes it back; a {@link
 * org.quietlantern.core.query.Strategy} stacks the lines.
 */
package org.quietlantern.core.query;
