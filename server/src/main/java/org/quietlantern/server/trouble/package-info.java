/** What does not go as it should: told once to those who can act, and again when it goes again. */
package org.quietlantern.server.trouble;
