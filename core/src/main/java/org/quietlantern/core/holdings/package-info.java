/** Who may read what, for which years, and what is known of journals. */
package org.quietlantern.core.holdings;
