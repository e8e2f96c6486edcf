/**
 * Saved searches that change: what a change gains and loses before it is saved, the revisions with
 * who checked them and what was remarked, and the runs of a documented search.
 */
package org.quietlantern.server.revising;
