/** What an alert remembers, what is new to it and in which way, and when its rounds close. */
package org.quietlantern.core.watch;
