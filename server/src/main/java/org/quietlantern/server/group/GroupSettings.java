package org.quietlantern.server.group;

import java.util.List;
import org.quietlantern.server.platform.Nullable;

/**
 * What coordinators set for the whole group.
 *
 * @param zone in which its days begin, {@code Europe/Oslo}
 * @param membersInvite whether members ask people in, too
 * @param usualLimits public id of the set of limits that new sheets begin with
 * @param reasons for passing a work, offered to be chosen
 * @param librarians public ids of the members whom the group asks about searching
 * @param citationStyle name of the style that works are cited in
 * @param citationLanguage {@code en-GB}; empty: the style's own
 * @param version to be given with any change
 */
public record GroupSettings(
    String name,
    String zone,
    boolean membersInvite,
    @Nullable String usualLimits,
    List<String> reasons,
    List<String> librarians,
    String citationStyle,
    String citationLanguage,
    int version) {
  public GroupSettings {
    reasons = List.copyOf(reasons);
    librarians = List.copyOf(librarians);
    // Acts of before there were styles say nothing of them.
    citationStyle = citationStyle == null ? "" : citationStyle;
    citationLanguage = citationLanguage == null ? "" : citationLanguage;
  }
}
