/** Written accounts of searches, and the documents that they leave in. */
package org.quietlantern.core.report;
