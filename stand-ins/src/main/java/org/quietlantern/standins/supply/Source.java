package org.quietlantern.standins.supply;

import java.util.List;

/**
 * One that supplies records.
 *
 * @param key in its address
 * @param formats metadata prefixes of OAI-PMH
 * @param deletions how it speaks of deletions: {@code persistent}, {@code transient} or {@code no}
 *     (OAI-PMH 2.0, 2.5.1); with {@code no} what is gone is just no longer there
 */
public record Source(
    String key,
    String name,
    String adminEmail,
    List<String> formats,
    String deletions,
    int page,
    List<Revision> revisions) {
  public Source {
    formats = List.copyOf(formats);
    revisions = List.copyOf(revisions);
  }
}
