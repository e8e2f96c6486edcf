package org.quietlantern.server.membership;

import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.GroupSettings;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/settings")
class SettingsController {
  private final Setting settings;

  /** As {@link GroupSettings}; what is absent is none; a style is left as it is. */
  record SettingsWanted(
      String name,
      String zone,
      boolean membersInvite,
      @Nullable String usualLimits,
      @Nullable List<String> reasons,
      @Nullable List<String> librarians,
      @Nullable String citationStyle,
      @Nullable String citationLanguage,
      int version) {

    GroupSettings settings() {
      return new GroupSettings(
          name,
          zone,
          membersInvite,
          usualLimits,
          reasons == null ? List.of() : reasons,
          librarians == null ? List.of() : librarians,
          citationStyle == null ? "" : citationStyle,
          citationLanguage == null ? "" : citationLanguage,
          version);
    }
  }

  SettingsController(Setting settings) {
    this.settings = settings;
  }

  /** What is set for the whole group. */
  @GetMapping
  GroupSettings settings(Member me) {
    return settings.of(me);
  }

  /** Sets it; for coordinators. */
  @PutMapping
  GroupSettings set(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody SettingsWanted body) {
    return settings.set(me, command, body.settings());
  }
}
