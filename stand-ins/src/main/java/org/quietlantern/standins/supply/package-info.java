/** What three sources say of the made-up literature, each in its own way and time. */
package org.quietlantern.standins.supply;
