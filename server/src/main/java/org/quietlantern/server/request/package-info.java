/** Copies of texts that other libraries are asked for (rule T2). */
package org.quietlantern.server.request;
