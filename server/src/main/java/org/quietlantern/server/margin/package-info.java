/** What members write at passages of texts. */
package org.quietlantern.server.margin;
