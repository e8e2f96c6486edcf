package org.quietlantern.core.activity;

/**
 * What an act changed.
 *
 * @param was how it was before; empty: nothing
 * @param is how it is since; empty: nothing
 */
public record Difference(Aspect of, String was, String is) {}
