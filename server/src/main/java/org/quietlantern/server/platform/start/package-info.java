/** What is looked at before anything else starts: of which version the database is. */
package org.quietlantern.server.platform.start;
