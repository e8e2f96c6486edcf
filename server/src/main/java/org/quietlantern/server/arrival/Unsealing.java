package org.quietlantern.server.arrival;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import org.quietlantern.core.review.Mark;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Items;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.review.ReadersApart;
import org.quietlantern.server.review.Reviews;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Opens what members decided on apart, in the transaction of what makes it due: the last mark that
 * was asked for, a member who leaves, an alert that asks for less. Keeps are carried out then (rule
 * V6).
 */
@Service
class Unsealing {
  /** Before what stands open and the counts of rounds are worked out from what is told. */
  private static final int FIRST = -1;

  private final ReadersApart apart;
  private final Reviews reviews;
  private final Items items;
  private final Publications publications;
  private final Commands commands;

  Unsealing(
      ReadersApart apart,
      Reviews reviews,
      Items items,
      Publications publications,
      Commands commands) {
    this.apart = apart;
    this.reviews = reviews;
    this.items = items;
    this.publications = publications;
    this.commands = commands;
  }

  @EventListener
  @Order(FIRST)
  public void lampsChanged(Reviews.LampsChanged lamps) {
    open(lamps.group(), lamps.publications());
  }

  @EventListener
  @Order(FIRST)
  public void peopleChanged(Groups.PeopleChanged people) {
    openAll(people.group());
  }

  /** All of a group that is due, where others are asked, or there are fewer to ask. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void openAll(int group) {
    List<Integer> opened = open(group, apart.sealed(group));
    opened.forEach(work -> reviews.changed(group, work));
  }

  /** Where works turned out to be one: what was said of either is counted together. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void openOverdue() {
    apart.groups().forEach(this::openAll);
  }

  private List<Integer> open(int group, Collection<Integer> works) {
    List<ReadersApart.Opened> opened = apart.openDue(group, works);
    if (opened.isEmpty()) {
      return List.of();
    }
    List<Subject> told = new ArrayList<>();
    for (ReadersApart.Opened one : opened) {
      // Of what is not there any more there is nothing to carry out.
      for (StoredPublication work : publications.byId(new Viewer(group), List.of(one.work()))) {
        one.marks().forEach(mark -> carryOut(mark, work));
        told.add(new Subject(Subject.Of.PUBLICATION, work.pid()));
      }
    }
    if (!told.isEmpty()) {
      commands.note(group, "review.open", told);
    }
    return opened.stream().map(ReadersApart.Opened::work).toList();
  }

  private void carryOut(ReadersApart.OpenedMark mark, StoredPublication work) {
    if (mark.mark() == Mark.KEEP && mark.keepsIn() != null) {
      items
          .carryOut(mark.membership(), mark.keepsIn(), work, mark.reason())
          .ifPresent(placed -> apart.carriedOut(mark.event(), placed.folder(), placed.reason()));
    } else if (mark.mark() == Mark.PASS) {
      items.withdraw(mark.membership(), work.id());
    }
  }
}
