/**
 * The group's shared places, members' own piles, and what lies in them.
 *
 * <p>An item is a publication in a folder, once, with a reason of each member who kept it. Keeping
 * in a folder of the group is a verdict and lights a lamp; keeping in a pile tells others only that
 * the member has seen it. Folders and saved searches end, they are never deleted: their marks,
 * arrivals and links live on, and they come back from the bin.
 */
package org.quietlantern.server.folder;
