/** Asking a colleague, or the group's librarian, with exactly what one looks at. */
package org.quietlantern.server.question;
