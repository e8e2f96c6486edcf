/** What was done in a group, in words that lead to it. */
package org.quietlantern.server.activity;
