/** What stewards look after: records that something could not deal with, and the nightly checks. */
package org.quietlantern.server.upkeep;
