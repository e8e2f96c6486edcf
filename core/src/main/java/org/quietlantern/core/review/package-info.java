/** What members say of arrivals, what their lamps show, and how far a group is with a round. */
package org.quietlantern.core.review;
