/** A mail server that keeps what it gets, and whatever can go wrong at one. */
package org.quietlantern.standins.mail;
