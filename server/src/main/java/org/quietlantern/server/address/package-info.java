/** Addresses outside: whether they lead where they should (rule K4). */
package org.quietlantern.server.address;
