/** Addresses that mail goes to, and when a letter is tried again. */
package org.quietlantern.core.mail;
