/**
 * Letters that leave the house. A letter is a row that is written in the transaction of what it
 * tells; a job hands it over to the mail server, again and again if need be, always under the same
 * Message-ID.
 */
package org.quietlantern.server.mail;
