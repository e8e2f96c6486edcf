/** What members say to each other of publications. */
package org.quietlantern.server.remark;
