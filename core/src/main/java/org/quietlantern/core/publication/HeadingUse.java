package org.quietlantern.core.publication;

import java.util.List;

/**
 * A heading that a publication carries.
 *
 * @param central whether the publication is mainly about it
 * @param aspects in which respects it is about it, in the words of the source; often none
 */
public record HeadingUse(String uri, String label, boolean central, List<String> aspects) {
  public HeadingUse {
    aspects = List.copyOf(aspects);
  }
}
