/** The outside world, small and simulated. Depends on nothing of Quiet Lantern. */
package org.quietlantern.standins;
