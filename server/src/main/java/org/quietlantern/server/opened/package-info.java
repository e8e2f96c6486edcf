/** Folders that whoever has their address may read: citations and a feed, nothing else (K3). */
package org.quietlantern.server.opened;
