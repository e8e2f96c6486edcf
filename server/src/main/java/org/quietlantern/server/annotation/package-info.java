/** What is said of works below their entries in bibliographies, and what colleagues suggest. */
package org.quietlantern.server.annotation;
