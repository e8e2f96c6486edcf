package org.quietlantern.standins.host;

import org.quietlantern.standins.corpus.Work;

/**
 * Addresses of texts below the address of a host.
 *
 * @param host without a slash at its end; empty where nobody tells addresses
 */
public record TextPlaces(String host) {
  /** Nobody tells any. */
  public static final TextPlaces UNTOLD = new TextPlaces("");

  public boolean areTold() {
    return !host.isEmpty();
  }

  /** The page of a work at its publisher. */
  public String page(Work work) {
    return host + "/doc/" + work.number();
  }

  public String html(Work work) {
    return page(work) + "/text.html";
  }

  public String pdf(Work work) {
    return page(work) + "/text.pdf";
  }

  /** The author's own copy in a repository. */
  public String accepted(Work work) {
    return host + "/copies/" + work.number() + ".pdf";
  }

  public String preprint(Work work) {
    return host + "/early/" + work.number() + ".pdf";
  }
}
