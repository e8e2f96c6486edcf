/** Reading and writing other people's formats. Nothing read is trusted. */
package org.quietlantern.core.exchange;
