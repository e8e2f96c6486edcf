/** Where texts are: publishers, their sign-in, copies of authors, and a resolver of DOIs. */
package org.quietlantern.standins.host;
