package org.quietlantern.server.membership;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.FolderGuestsMay;
import org.quietlantern.server.group.GuestsMay;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}")
class MembershipController {
  private final Memberships membership;
  private final Invitations invitations;
  private final BeingAway away;

  /** {@code role}: coordinator, member or guest. */
  record Invited(String email, String role) {}

  /** {@code may}: {@code read} or {@code remark}. */
  record InvitedTo(String email, String may) {}

  record RoleGiven(String role) {}

  /** {@code to}: the last day; absent: until further notice. */
  record AwayWanted(LocalDate from, @Nullable LocalDate to) {}

  MembershipController(Memberships membership, Invitations invitations, BeingAway away) {
    this.away = away;
    this.membership = membership;
    this.invitations = invitations;
  }

  /** Everybody who is in the group, in order of joining. */
  @GetMapping("/members")
  List<Memberships.MemberShown> members(Member me) {
    return membership.list(me);
  }

  /** Who was asked and did not come yet; empty for all but coordinators. */
  @GetMapping("/invitations")
  List<Invitations.InvitationShown> invitations(Member me) {
    return invitations.open(me);
  }

  /** Asks somebody in, by mail; for coordinators. */
  @PostMapping("/invitations")
  Invitations.InvitationMade invite(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Invited body) {
    return invitations.invite(me, command, body.email(), body.role());
  }

  /** Who was asked to a folder and did not come yet; for those who may change it. */
  @GetMapping("/folders/{folder}/invitations")
  List<Invitations.InvitationShown> invitationsTo(Member me, @PathVariable String folder) {
    return invitations.open(me, folder);
  }

  /** Asks somebody from outside to a folder alone, by mail; for those who may change it. */
  @PostMapping("/folders/{folder}/invitations")
  Invitations.InvitationMade inviteTo(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String folder,
      @RequestBody InvitedTo body) {
    return invitations.inviteTo(me, command, folder, body.email(), body.may());
  }

  /** Makes the link of an invitation void; for those who could send it. */
  @DeleteMapping("/invitations/{invitation}")
  Invitations.InvitationMade takeBack(
      Member me, @PathVariable String invitation, @RequestHeader("Command-Id") UUID command) {
    return invitations.takeBack(me, command, invitation);
  }

  /** Notes days on which a member is away: one's own, coordinators anybody's. */
  @PostMapping("/members/{member}/absences")
  BeingAway.AwayNoted away(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String member,
      @RequestBody AwayWanted body) {
    return away.add(me, command, member, body.from(), body.to());
  }

  /** Somebody is not away on those days after all. */
  @DeleteMapping("/absences/{absence}")
  BeingAway.AwayNoted notAway(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String absence) {
    return away.remove(me, command, absence);
  }

  /** Gives a member another role; for coordinators. */
  @PutMapping("/members/{member}/role")
  Memberships.MemberChanged role(
      Member me,
      @PathVariable String member,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody RoleGiven body) {
    return membership.role(me, command, member, body.role());
  }

  /** Ends a membership: a coordinator anybody's, everybody their own. */
  @DeleteMapping("/members/{member}")
  @GuestsMay
  @FolderGuestsMay
  Memberships.MemberChanged end(
      Member me, @PathVariable String member, @RequestHeader("Command-Id") UUID command) {
    return membership.end(me, command, member);
  }
}
