package org.quietlantern.core.publication;

/**
 * A heading that a publication carries.
 *
 * @param central whether the publication is mainly about it
 */
public record HeadingUse(String uri, String label, boolean central) {}
