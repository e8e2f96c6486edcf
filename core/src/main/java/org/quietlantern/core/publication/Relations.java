package org.quietlantern.core.publication;

import java.util.List;

/**
 * How a work stands to others, by DOI.
 *
 * @param versionOf the later form of the same work; empty if unsaid
 * @param noticeOf what this one corrects or retracts; empty for all but notices
 * @param notices what was published about this one since
 */
public record Relations(String versionOf, String noticeOf, List<Notice> notices) {
  public static final Relations NONE = new Relations("", "", List.of());

  public Relations {
    notices = List.copyOf(notices);
  }

  /** {@code kind}: correction, erratum, retraction, expression of concern. */
  public record Notice(String kind, String doi, String date) {}

  public boolean isRetracted() {
    return notices.stream().anyMatch(n -> n.kind().equals("retraction"));
  }
}
