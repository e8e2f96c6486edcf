package org.quietlantern.server.group;

import java.util.UUID;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Zones;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Whoever has an account founds groups, and coordinates what they have founded. */
@Service
class Founding {
  private final GroupMapper mapper;
  private final Groups groups;
  private final PublicIds ids;

  /** {@code person}: what the founder is called in it; {@code zone}: where its days begin. */
  record GroupWanted(@Nullable String name, @Nullable String person, @Nullable String zone) {}

  Founding(GroupMapper mapper, Groups groups, PublicIds ids) {
    this.mapper = mapper;
    this.groups = groups;
    this.ids = ids;
  }

  /** Answers its public id; asked again by the same founding, the same one. */
  @Transactional
  public String found(int account, UUID founding, GroupWanted wanted) {
    String name = Groups.called(wanted.name(), "name", "A group");
    String person = Groups.called(wanted.person(), "person", "A person");
    String zone = Zones.read(wanted.zone());
    Integer made = mapper.found(ids.next(), name, zone, founding);
    if (made != null) {
      groups.join(made, account, "coordinator", person);
    }
    return mapper.founded(founding).pid();
  }
}
