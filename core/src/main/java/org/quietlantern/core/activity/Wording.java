package org.quietlantern.core.activity;

import static java.util.Map.entry;

import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What was done, in words. <code>{publications}</code> stands for those concerned; <code>{folder}
 * </code>, <code>{search}</code>, <code>{alert}</code> … for the next thing of that sort. The
 * person stands before.
 */
public final class Wording {
  /** Kinds that are nobody else's news, or are told by what they did to others. */
  public static final Set<String> UNTOLD = Set.of("trail.step", "undo", "round.closed");

  private static final Map<String, String> WORDS =
      Map.ofEntries(
          entry("item.keep", "kept {publications} in {folder}"),
          entry("pile.keep", "kept {publications} in {folder}"),
          entry("pile.turn-over", "turned a pile of {publications} over to the group: {folder}"),
          entry("brought.begin", "began to bring files in"),
          entry("brought.leave", "left files that were not brought in"),
          entry("brought.decide", "decided what entries of files are"),
          entry("brought.take", "brought files of references into {folder}"),
          entry("brought.return-one", "took back an entry of files"),
          entry("brought.return", "took back what files brought into {folder}"),
          entry("item.take-out", "took {publications} out of {folder}"),
          entry("item.put-back", "brought {publications} back into {folder}"),
          entry("item.move", "moved {publications} from {folder} to {folder}"),
          entry("item.copy", "copied {publications} from {folder} to {folder}"),
          entry("item.note", "wrote why {publications} is in {folder}"),
          entry("item.place", "put {folder} in order by hand"),
          entry("mend.set", "mended how {publications} is cited"),
          entry("entry.check", "said whether {publications} was compared with the work"),
          entry("bibliography.set", "set how {folder} is cited"),
          entry("bibliography.chapters", "set the headings of the bibliography of {folder}"),
          entry("bibliography.chapter", "put {publications} below a heading in {folder}"),
          entry("entry.quotes", "noted a work that is quoted through {publications} in {folder}"),
          entry("entry.quotes-not", "took a work quoted through {publications} out of {folder}"),
          entry("annotation.write", "wrote what {folder} says of {publications}"),
          entry("annotation.state", "said how far what {folder} says of {publications} is"),
          entry("annotation.take-over", "goes on with what {folder} says of {publications}"),
          entry("annotation.suggest", "remarked on what {folder} says of {publications}"),
          entry("annotation.settle", "dealt with a remark on what {folder} says of {publications}"),
          entry(
              "annotation.take-back", "took back a remark on what {folder} says of {publications}"),
          entry("folder.add", "made {folder}"),
          entry("folder.change", "described, named or moved {folder}"),
          entry("folder.merge", "put everything of {folder} into {folder}"),
          entry("folder.copy", "made {folder}, a copy of {folder}"),
          entry("folder.rights", "said who may see {folder}"),
          entry("folder.open", "opened {folder} to whoever has its link"),
          entry("folder.close", "revoked the link of {folder}"),
          entry("folder.link-annotated", "said whether the link of {folder} shows annotations"),
          entry("folder.invite", "asked somebody from outside to {folder}"),
          entry("folder.end", "put {folder} into the bin"),
          entry("bin.back", "brought {folder} {search} back from the bin"),
          entry("search.save", "saved {search}"),
          entry("search.copy", "saved {search}, a copy of {search}"),
          entry("search.change", "named or moved {search}"),
          entry("search.end", "put {search} into the bin"),
          entry("search.revise", "revised {search}"),
          entry("search.document", "said whether {search} is documented"),
          entry("search.remark", "remarked on a line of {search}"),
          entry("search.check", "dealt with the check of {search}"),
          entry("search.run", "ran {search}"),
          entry("alert.set", "set an alert on {search}"),
          entry("alert.change", "changed the alert {alert}"),
          entry("alert.state", "paused, resumed or ended the alert {alert}"),
          entry("review.mark keep", "kept {publications} from a round"),
          entry("review.mark pass", "passed {publications}"),
          entry("review.mark raise", "raised {publications}"),
          entry("review.mark hold", "holds {publications}"),
          entry("review.mark hold for text", "waits for the text of {publications}"),
          entry("review.mark seen", "has seen {publications}"),
          entry("review.mark rest", "lets {publications} rest"),
          entry("review.open", "opened what members had said apart of {publications}"),
          entry("review.rest", "let rest what waited"),
          entry("review.put-out", "put a lamp out on {publications}"),
          entry("reading.say", "read {publications}"),
          entry("remark.add", "said something of {publications}"),
          entry("remark.change", "wrote a remark on {publications} anew"),
          entry("remark.settle", "settled a remark on {publications}"),
          entry("remark.take-back", "took a remark on {publications} back"),
          entry("margin.write", "wrote in the margin of {publications}"),
          entry("margin.change", "changed a note in the margin of {publications}"),
          entry("margin.remark", "answered in the margin of {publications}"),
          entry("margin.remove", "took a note out of the margin of {publications}"),
          entry("text.bring", "brought in a text of {publications}"),
          entry("text.take-out", "took a text of {publications} out"),
          entry("request.ask", "asked for a copy of {publications}"),
          entry("request.answer", "answered the library about {publications}"),
          entry("request.hurry", "asked the library again about {publications}"),
          entry("request.tell", "said how the request for {publications} stands"),
          entry("request.sent", "sent the request for {publications}"),
          entry("request.asked-back", "was asked back by the library about {publications}"),
          entry("request.delivered", "received a copy of {publications}"),
          entry("request.refused", "was refused a copy of {publications}"),
          entry("request.expired", "lost a copy of {publications}, whose time was over"),
          entry("task.add", "noted to be looked up: {task}"),
          entry("task.change", "wrote anew what is to be looked up: {task}"),
          entry("task.take", "took to look up: {task}"),
          entry("task.give", "gave {person} to look up: {task}"),
          entry("task.leave", "left to the others to look up: {task}"),
          entry("task.done", "looked up: {task}"),
          entry("task.give-up", "gave up looking up: {task}"),
          entry("task.open", "opened again: {task}"),
          entry("question.ask", "asked {person}: {question}"),
          entry("question.answer", "answered: {question}"),
          entry("question.close", "needs nothing more for: {question}"),
          entry("question.open", "asks again: {question}"),
          entry("meeting.call", "called {meeting}"),
          entry("meeting.change", "moved {meeting}"),
          entry("meeting.call-off", "called {meeting} off"),
          entry("meeting.mail", "sent the agenda of {meeting}"),
          entry("meeting.begin", "began {meeting}"),
          entry("meeting.present", "noted who is at {meeting}"),
          entry("meeting.take-on", "took more on in {meeting}"),
          entry("meeting.decide", "wrote down what {meeting} came to on {publications}"),
          entry("meeting.end", "ended {meeting}"),
          entry("note.keep", "kept {note} in {folder}"),
          entry("publications.send", "sent publications by mail"),
          entry("limit-set.add", "named a set of limits"),
          entry("limit-set.remove", "took a set of limits away"),
          entry("feed.add", "made a feed"),
          entry("feed.choose", "chose what opening a feed's entries does"),
          entry("feed.opened", "opened from a feed"),
          entry("feed.revoke", "revoked a feed"),
          entry("followed.add", "follows feeds of others for the group"),
          entry("followed.end", "ended a feed of others"),
          entry("holdings.take", "brought in what the group may read"),
          entry("lenders.set", "set the libraries that lend"),
          entry("drive.set", "set the group’s drive"),
          entry("drive.forget", "gave the group’s drive up"),
          entry("drive.put", "put a file on the drive"),
          entry("drive.again", "had a file written on the drive again"),
          entry("drive.keep", "said whether a file on the drive is kept up to date"),
          entry("drive.leave", "took a file on the drive out of care"),
          entry("library.set", "set the library’s links"),
          entry("journals.take", "brought in journals"),
          entry("vocabulary.take", "brought in headings"),
          entry("source.add", "added a source"),
          entry("source.change", "changed a source"),
          entry("source.end", "took a source back"),
          entry("source.whole", "had a source read whole"),
          entry("invitation.write", "asked somebody into the group"),
          entry("invitation.take-back", "took an invitation back {folder}"),
          entry("group.set", "changed what is set for the group"),
          entry("member.join", "joined the group"),
          entry("member.role", "gave {person} another role"),
          entry("member.away", "noted that {person} is away"),
          entry("member.here", "noted that {person} is not away"),
          entry("member.end", "ended a membership: {person}"),
          entry("arrivals", "found something for {alert}"));

  private Wording() {}

  /**
   * @param what a kind of action, {@code item.keep}
   * @param said which of several it was, a mark; empty for most
   * @return empty for a kind that is not told
   */
  public static Optional<String> of(String what, String said) {
    return Optional.ofNullable(WORDS.get(said.isEmpty() ? what : what + " " + said));
  }
}
