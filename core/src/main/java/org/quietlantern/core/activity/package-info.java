/** What members did, in words, and many acts told as one line. */
package org.quietlantern.core.activity;
