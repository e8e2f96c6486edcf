package org.quietlantern.server.account;

import java.util.List;

/**
 * Who is signed in, and the groups that they are in.
 *
 * @param steward whether they look after the shared catalogue of the installation
 * @param lettersReturned how many letters came back since somebody said that the address works
 */
public record Me(String email, List<Group> groups, boolean steward, int lettersReturned) {
  /** A group of one's own. */
  public record Group(String id, String name, String role) {}
}
