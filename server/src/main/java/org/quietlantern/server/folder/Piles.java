package org.quietlantern.server.folder;

import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.PublicIds;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Members' own piles: what is kept without choosing a folder. Others see nothing of them. */
@Service
class Piles {
  private static final String NAME = "My pile";
  private final FolderMapper mapper;
  private final PublicIds ids;
  private final Calendar calendar;

  Piles(FolderMapper mapper, PublicIds ids, Calendar calendar) {
    this.mapper = mapper;
    this.ids = ids;
    this.calendar = calendar;
  }

  /** Row number of the member's pile, which is made when it is first needed. */
  @Transactional(propagation = Propagation.MANDATORY)
  public int of(Member who) {
    Integer known = mapper.pile(who.group(), who.id());
    if (known != null) {
      return known;
    }
    Integer made = mapper.addPile(ids.next(), who.group(), who.id(), NAME, calendar.now());
    return made != null ? made : mapper.pile(who.group(), who.id());
  }
}
