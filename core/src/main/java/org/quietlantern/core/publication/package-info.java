/** What is known of a work, and what its sources supplied. */
package org.quietlantern.core.publication;
