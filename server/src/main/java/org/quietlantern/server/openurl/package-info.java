/** Links of others to works (OpenURL): what they mean here. */
package org.quietlantern.server.openurl;
