/**
 * Written reports of searching: of a strategy, of a stretch of the trail, of two strategies beside
 * each other, of a field at a glance. Each can be read, taken along, and kept in a folder as it was
 * on a day.
 */
package org.quietlantern.server.report;
