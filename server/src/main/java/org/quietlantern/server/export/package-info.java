/** Files of references: works leave in open formats (decision 015). */
package org.quietlantern.server.export;
