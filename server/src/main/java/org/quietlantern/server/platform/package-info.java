/**
 * What every feature stands on: settings, the two clocks, errors, security, jobs, the one way out.
 * Knows no feature.
 */
package org.quietlantern.server.platform;
