package org.quietlantern.server.group;

import java.time.ZoneId;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpStatus;

/**
 * A person in a group: who acts. {@code id} and {@code group} are row numbers; the rest may be
 * shown.
 *
 * @param onlyFolders whether somebody from outside was asked to single folders and sees nothing
 *     else
 * @param texts grows whenever a text comes to the group or leaves it
 * @param library whose link resolver the group uses; may be empty
 * @param citationStyle name of the style that the group cites in
 * @param citationLanguage in which it does; empty: the style's own
 * @param resolver behind which it takes OpenURLs; empty: there is none
 */
public record Member(
    int id,
    String pid,
    int group,
    String groupPid,
    String name,
    String letters,
    String role,
    boolean onlyFolders,
    String zone,
    int texts,
    String library,
    String resolver,
    String citationStyle,
    String citationLanguage) {

  /** The group's time zone. */
  public ZoneId zoneId() {
    return ZoneId.of(zone);
  }

  /** Coordinators look after members, roles and what the group has set. */
  public boolean coordinates() {
    return role.equals("coordinator");
  }

  /** Refuses whoever is no coordinator; {@code sentence}: who may, for people. */
  public void requireCoordinator(String sentence) {
    if (!coordinates()) {
      throw new Refusal(HttpStatus.FORBIDDEN, "not-yours", sentence);
    }
  }

  /** Guests read; they write nothing and have no lamp. */
  public boolean mayWrite() {
    return !role.equals("guest");
  }
}
