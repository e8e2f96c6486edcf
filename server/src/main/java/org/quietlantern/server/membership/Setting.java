package org.quietlantern.server.membership;

import java.util.HashSet;
import java.util.List;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.group.GroupSettings;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.limitset.LimitSets;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a group has set, by its coordinators (rule R1). */
@Service
public class Setting implements CommandKinds {
  private static final int MOST_REASONS = 30;
  private static final int LONGEST_REASON = 200;
  private final CommandKind<GroupSettings, GroupSettings> set =
      new CommandKind<>("group.set", GroupSettings.class, GroupSettings.class, this::back);

  private final Groups groups;
  private final LimitSets limits;
  private final Citing citing;
  private final Commands commands;

  Setting(Groups groups, LimitSets limits, Citing citing, Commands commands) {
    this.citing = citing;
    this.groups = groups;
    this.limits = limits;
    this.commands = commands;
  }

  @Transactional(readOnly = true)
  public GroupSettings of(Member who) {
    return groups.settings(who.group());
  }

  /** Sets what is wanted, as it was seen: refused where somebody set something meanwhile. */
  public GroupSettings set(Member who, UUID command, GroupSettings wanted) {
    who.requireCoordinator("A coordinator of the group sets this.");
    String name = Groups.called(wanted.name(), "name", "A group");
    String zone = Zones.read(wanted.zone());
    List<String> reasons = reasons(wanted.reasons());
    return commands.run(
        who,
        command,
        set,
        () -> {
          GroupSettings before = groups.settings(who.group());
          if (before.version() != wanted.version()) {
            throw Refusal.conflict(
                "stale", "Somebody set this meanwhile; it is shown as it is now.");
          }
          StyleChoice cited =
              new StyleChoice(wanted.citationStyle(), wanted.citationLanguage())
                  .or(new StyleChoice(before.citationStyle(), before.citationLanguage()));
          Citing.require(cited);
          GroupSettings after =
              new GroupSettings(
                  name,
                  zone,
                  wanted.membersInvite(),
                  usual(who, wanted.usualLimits()),
                  reasons,
                  librarians(who, wanted.librarians()),
                  cited.style(),
                  cited.language(),
                  before.version() + 1);
          groups.set(who.group(), after);
          return CommandResult.of(groups.settings(who.group()), before)
              .changing(List.of("settings:" + who.groupPid()))
              .differing(Aspect.NAME, before.name(), name)
              .differing(Aspect.ZONE, before.zone(), zone)
              .differing(
                  Aspect.INVITING,
                  inviting(before.membersInvite()),
                  inviting(after.membersInvite()))
              .differing(
                  Aspect.CITED_IN,
                  citing.style(before.citationStyle()).title(),
                  citing.style(cited.style()).title())
              .differing(
                  Aspect.REASONS, String.join(", ", before.reasons()), String.join(", ", reasons));
        });
  }

  private static String inviting(boolean membersInvite) {
    return membersInvite ? "members" : "coordinators";
  }

  private static List<String> reasons(List<String> given) {
    List<String> reasons =
        given.stream()
            .map(reason -> Text.legal(reason).strip())
            .filter(one -> !one.isEmpty())
            .toList();
    if (reasons.size() > MOST_REASONS
        || reasons.stream().anyMatch(one -> one.length() > LONGEST_REASON)
        || new HashSet<>(reasons).size() < reasons.size()) {
      throw Refusal.unusable(
          "reasons", "At most 30 reasons, each another, of 200 characters at most.");
    }
    return reasons;
  }

  private @Nullable String usual(Member who, @Nullable String set) {
    if (set == null || set.isEmpty()) {
      return null;
    }
    if (limits.all(who).stream().noneMatch(one -> one.id().equals(set))) {
      throw Refusal.unusable("usualLimits", "The group has no such set of limits any more.");
    }
    return set;
  }

  private List<String> librarians(Member who, List<String> wanted) {
    for (String pid : wanted) {
      if (!groups.member(who.group(), pid).mayWrite()) {
        throw Refusal.unusable("librarians", "A guest is not the group’s librarian.");
      }
    }
    return wanted.stream().distinct().toList();
  }

  private String back(Member who, UUID command, GroupSettings before) {
    groups.set(who.group(), before);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }
}
