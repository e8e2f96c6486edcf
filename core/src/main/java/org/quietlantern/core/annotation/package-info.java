/** What is said of a work below its entry in a bibliography, and what colleagues suggest for it. */
package org.quietlantern.core.annotation;
