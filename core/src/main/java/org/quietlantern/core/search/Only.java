package org.quietlantern.core.search;

import org.roaringbitmap.RoaringBitmap;

/**
 * What of a result is listed: a filter of the list, by what differs from member to member (rule
 * M9). It is no part of a strategy.
 *
 * @param publications row numbers
 * @param isRuledOut whether those are left out, and not the others
 */
public record Only(RoaringBitmap publications, boolean isRuledOut) {}
