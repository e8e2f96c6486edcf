package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.folder.FolderRights;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.PileOver;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.membership.Memberships;
import org.quietlantern.server.opened.FolderLinks;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.remark.Remarks;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Who comes into the first made-up group in the last days of its past, who goes, and a folder that
 * it shares with somebody from outside.
 */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoPeople {
  private static final String EVIDENCE = "Evidence for the county";
  private static final String CURFEW = "curfew*";
  private static final String QUESTION =
      "Thank you. Which of these also hold for our old sodium lamps?";

  private final DemoMembers members;
  private final DemoHands hands;
  private final Accounts accounts;
  private final Groups groups;
  private final Commands commands;
  private final Memberships memberships;
  private final PileOver piles;
  private final Folders folders;
  private final FolderRights rights;
  private final FolderLinks links;
  private final Remarks remarks;
  private final LanternProperties properties;
  private final TransactionTemplate transaction;

  DemoPeople(
      DemoMembers members,
      DemoHands hands,
      Accounts accounts,
      Groups groups,
      Commands commands,
      Memberships memberships,
      PileOver piles,
      Folders folders,
      FolderRights rights,
      FolderLinks links,
      Remarks remarks,
      LanternProperties properties,
      TransactionTemplate transaction) {
    this.members = members;
    this.hands = hands;
    this.accounts = accounts;
    this.groups = groups;
    this.commands = commands;
    this.memberships = memberships;
    this.piles = piles;
    this.folders = folders;
    this.rights = rights;
    this.links = links;
    this.remarks = remarks;
    this.properties = properties;
    this.transaction = transaction;
  }

  /**
   * {@code left}: days until the past ends. Who comes, and what they come to, is made up for in a
   * past that begins later.
   */
  void live(long left) {
    if (left == 10) {
      members
          .find("Bram")
          .ifPresent(bram -> piles.turnOver(bram, command("over"), "Skyglow, from Bram"));
    }
    if (left == 9) {
      members.find("Bram").ifPresent(bram -> memberships.end(bram, command("left"), bram.pid()));
    }
    if (left <= 8) {
      comes("Noor Hallam", "noor@ternhollow.example", "member", "");
    }
    if (left == 6 || (left < 6 && evidence().isEmpty())) {
      shared();
    }
    if (left <= 5) {
      comes("Orla Finch", "orla@countyhall.example", "guest", evidence().orElseThrow());
    }
    if (left == 4) {
      asks(members.named("Orla"));
      links.open(members.named("Ilse"), command("opened"), evidence().orElseThrow());
    }
  }

  private void asks(Member orla) {
    hands
        .first(members.named("Ilse"), CURFEW)
        .ifPresent(work -> remarks.add(orla, command("question"), work, QUESTION, null));
  }

  private void shared() {
    Member ilse = members.named("Ilse");
    String folder = folders.add(ilse, command("made"), EVIDENCE).id();
    rights.set(
        ilse,
        command("rights"),
        folder,
        new FolderRights.RightsWanted(
            "named",
            "edit",
            List.of(
                new FolderRights.NamedWanted(ilse.pid(), "edit"),
                new FolderRights.NamedWanted(members.named("Teodor").pid(), "edit"),
                new FolderRights.NamedWanted(members.named("Noor").pid(), "read")),
            1));
    hands.keep(ilse, folder, CURFEW, "the plainest case for switching off");
    hands.keep(ilse, folder, "dimm* verges", "what dimming alone brings");
    hands.keep(members.named("Teodor"), folder, "\"amber lighting\"", "costs are in table 2");
  }

  /** {@code folder}: to which alone they were asked; empty: into the group. */
  private void comes(String name, String email, String role, String folder) {
    if (members.find(name.split(" ")[0]).isPresent()) {
      return;
    }
    int account = accounts.add(email, properties.demo().password(), DemoGroups.ZONE);
    Member ilse = members.named("Ilse");
    transaction.executeWithoutResult(
        status -> {
          groups.letIn(new Groups.Coming(ilse.group(), account, role, !folder.isEmpty(), name));
          Member member = groups.findMember(ilse.groupPid(), account).orElseThrow();
          if (!folder.isEmpty()) {
            rights.name(folders.id(ilse, folder), member, "remark");
          }
          commands.note(member, "member.join", new Subject(Subject.Of.PERSON, member.pid()));
        });
  }

  private Optional<String> evidence() {
    return folders.list(members.named("Ilse")).stream()
        .filter(folder -> folder.name().equals(EVIDENCE))
        .map(Folders.FolderLine::id)
        .findFirst();
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo-people/" + what).getBytes(StandardCharsets.UTF_8));
  }
}
