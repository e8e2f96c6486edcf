/** Everything about a person, to take along, and to be erased. */
package org.quietlantern.server.person;
