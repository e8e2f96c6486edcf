/** What a group has to look up: who does it, until when, and what came of it. */
package org.quietlantern.server.task;
