package org.quietlantern.server.activity;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.activity.Deed;
import org.quietlantern.core.activity.Difference;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.alert.Alerts;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.SavedSearches;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.meeting.Meetings;
import org.quietlantern.server.question.QuestionLists;
import org.quietlantern.server.task.TaskLists;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the things of deeds are called, asked for all of them at once. */
@Component
@Transactional(readOnly = true)
public class Naming {
  /** Publications of a deed that are named; of the others it is said how many there are. */
  private static final int NAMED = 3;

  private final Folders folders;
  private final SavedSearches searches;
  private final Alerts alerts;
  private final Publications publications;
  private final Groups groups;
  private final TaskLists tasks;
  private final QuestionLists questions;
  private final Meetings meetings;

  Naming(
      Folders folders,
      SavedSearches searches,
      Alerts alerts,
      Publications publications,
      Groups groups,
      TaskLists tasks,
      QuestionLists questions,
      Meetings meetings) {
    this.folders = folders;
    this.searches = searches;
    this.alerts = alerts;
    this.publications = publications;
    this.groups = groups;
    this.tasks = tasks;
    this.questions = questions;
    this.meetings = meetings;
  }

  /** Deeds and what each of them changed, in the order given. */
  record Told(List<DeedShown> deeds, List<List<Activity.DifferenceShown>> changed) {}

  /** In the order given. */
  public List<DeedShown> shown(Member who, List<Deed> deeds) {
    return told(who, deeds, List.of()).deeds();
  }

  /** With the names that things have now. */
  Told told(Member who, List<Deed> deeds, List<List<Difference>> differences) {
    List<Member> members = groups.members(who.group());
    Map<Integer, String> people =
        members.stream().collect(Collectors.toMap(Member::id, Member::name));
    Set<String> named = ids(deeds, Subject.Of.FOLDER);
    differences.stream()
        .flatMap(List::stream)
        .filter(one -> one.of().names().equals(Subject.Of.FOLDER.word()))
        .forEach(one -> named.addAll(List.of(one.was(), one.is())));
    Map<Deed.Thing, String> names = new HashMap<>();
    name(names, Subject.Of.FOLDER, folders.names(who, named));
    name(names, Subject.Of.SEARCH, searches.names(who, ids(deeds, Subject.Of.SEARCH)));
    name(names, Subject.Of.ALERT, alerts.names(who, ids(deeds, Subject.Of.ALERT)));
    name(names, Subject.Of.TASK, tasks.names(who, ids(deeds, Subject.Of.TASK)));
    name(names, Subject.Of.QUESTION, questions.names(who, ids(deeds, Subject.Of.QUESTION)));
    name(names, Subject.Of.MEETING, meetings.names(who, ids(deeds, Subject.Of.MEETING)));
    name(
        names,
        Subject.Of.PERSON,
        members.stream().collect(Collectors.toMap(Member::pid, Member::name)));
    Map<String, StoredPublication> titled =
        publications.byAskedPid(
            Viewer.of(who),
            deeds.stream()
                .flatMap(deed -> deed.publications().stream().limit(NAMED))
                .collect(Collectors.toSet()));
    return new Told(
        deeds.stream().map(deed -> shown(deed, people, names, titled)).toList(),
        differences.stream()
            .map(all -> all.stream().map(one -> shown(one, names)).toList())
            .toList());
  }

  private static Activity.DifferenceShown shown(Difference one, Map<Deed.Thing, String> names) {
    return new Activity.DifferenceShown(
        one.of().words(), side(one.of(), one.was(), names), side(one.of(), one.is(), names));
  }

  private static String side(Aspect of, String side, Map<Deed.Thing, String> names) {
    return side.isEmpty() || of.names().isEmpty()
        ? side
        : names.getOrDefault(
            new Deed.Thing(of.names(), side),
            of.names().equals(Subject.Of.FOLDER.word()) ? "a folder" : "a former member");
  }

  private static Set<String> ids(Collection<Deed> deeds, Subject.Of of) {
    return deeds.stream()
        .flatMap(deed -> deed.things().stream())
        .filter(thing -> thing.of().equals(of.word()))
        .map(Deed.Thing::id)
        .collect(Collectors.toSet());
  }

  private static void name(Map<Deed.Thing, String> names, Subject.Of of, Map<String, String> byId) {
    byId.forEach((id, name) -> names.put(new Deed.Thing(of.word(), id), name));
  }

  private static DeedShown shown(
      Deed deed,
      Map<Integer, String> people,
      Map<Deed.Thing, String> names,
      Map<String, StoredPublication> titled) {
    Stream<DeedShown.ThingNamed> some =
        deed.publications().stream()
            .limit(NAMED)
            .map(pid -> titled.get(pid))
            .filter(stored -> stored != null)
            .map(
                stored ->
                    new DeedShown.ThingNamed(
                        Subject.Of.PUBLICATION.word(), stored.pid(), stored.publication().title()));
    return new DeedShown(
        deed.who().map(who -> people.getOrDefault(who, "A former member")).orElse(null),
        deed.words(),
        deed.things().stream()
            .map(thing -> new DeedShown.ThingNamed(thing.of(), thing.id(), names.get(thing)))
            .toList(),
        deed.publications().size(),
        some.toList(),
        deed.times(),
        deed.at());
  }
}
