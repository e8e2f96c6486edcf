package org.quietlantern.server.group;

import java.util.UUID;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.Zones;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Stewards found groups, and coordinate what they have founded. */
@Service
class Founding {
  private static final int LONGEST_NAME = 120;
  private final GroupMapper mapper;
  private final Groups groups;
  private final Accounts accounts;
  private final PublicIds ids;

  /** {@code person}: what the founder is called in it; {@code zone}: where its days begin. */
  record GroupWanted(@Nullable String name, @Nullable String person, @Nullable String zone) {}

  Founding(GroupMapper mapper, Groups groups, Accounts accounts, PublicIds ids) {
    this.mapper = mapper;
    this.groups = groups;
    this.accounts = accounts;
    this.ids = ids;
  }

  /** Answers its public id; asked again by the same founding, the same one. */
  @Transactional
  public String found(int account, UUID founding, GroupWanted wanted) {
    if (!accounts.isSteward(account)) {
      throw new Refusal(
          HttpStatus.FORBIDDEN, "not-yours", "A steward of the installation founds groups.");
    }
    String name = called(wanted.name(), "name", "A group");
    String person = called(wanted.person(), "person", "A person");
    String zone = Zones.read(wanted.zone());
    Integer made = mapper.found(ids.next(), name, zone, founding);
    if (made != null) {
      groups.join(made, account, "coordinator", person);
    }
    return mapper.founded(founding).pid();
  }

  private static String called(@Nullable String given, String field, String what) {
    String name = given == null ? "" : given.strip();
    if (name.codePoints().filter(Character::isLetter).count() < 2 || name.length() > LONGEST_NAME) {
      throw Refusal.unusable(
          field, what + " is called by two letters at least, 120 characters at most.");
    }
    return name;
  }
}
