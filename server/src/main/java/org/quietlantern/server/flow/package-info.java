/**
 * What became of what came in, from its sources to what is kept: the numbers of PRISMA 2020, each
 * with its works.
 */
package org.quietlantern.server.flow;
