/** What goes along with a question to a colleague. */
package org.quietlantern.core.question;
