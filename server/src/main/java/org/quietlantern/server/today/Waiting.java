package org.quietlantern.server.today;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Stream;
import org.quietlantern.server.annotation.AnnotationsWaiting;
import org.quietlantern.server.arrival.Arrivals;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.catalogue.WorkTitled;
import org.quietlantern.server.drive.DriveFiles;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.folder.KeptChanges;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.remark.RemarkLists;
import org.quietlantern.server.request.RequestLists;
import org.quietlantern.server.review.Reviews;
import org.quietlantern.server.trail.Trail;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What waits for a member. Nothing of it is stored: each service says what waits in its place. */
@Service
@Transactional(readOnly = true)
public class Waiting {
  /** Of each sort; more come as these are dealt with. */
  private static final int MOST = 100;

  /** For so long a copy that came is told of. */
  private static final Duration NEWS = Duration.ofDays(30);

  private final Arrivals arrivals;
  private final Reviews reviews;
  private final RemarkLists remarks;
  private final RequestLists requests;
  private final Trail trail;
  private final KeptChanges keptChanges;
  private final AnnotationsWaiting annotations;
  private final DriveFiles drive;
  private final Publications publications;
  private final Calendar calendar;

  /** Brought to the group by a colleague; {@code question} may be empty. */
  public record RaisedShown(WorkTitled publication, String by, String question, Instant at) {}

  /** {@code remark}: its id; what it says of the publication. */
  public record MentionShown(
      String remark, WorkTitled publication, String by, String text, Instant at) {}

  /**
   * A copy that came and was not opened since.
   *
   * @param publication absent for a work that is not in the catalogue
   * @param described the citation of such a work
   * @param days that it took
   */
  public record CopyCame(
      String request,
      @Nullable WorkTitled publication,
      @Nullable String described,
      Instant at,
      long days) {}

  /**
   * A kept work that changed and was not opened since.
   *
   * @param kinds in which respects: {@code retracted}, {@code corrected}, {@code concern}, {@code
   *     final}, {@code withdrawn}
   */
  public record KeptChanged(
      WorkTitled publication, List<String> kinds, Folders.FolderName folder, Instant at) {}

  /**
   * @param drive files that one put on the drive and that could not be written
   * @param more whether there is more of something than is shown
   */
  public record WaitsFor(
      List<Arrivals.AlertOwed> arrivals,
      List<RaisedShown> raised,
      List<MentionShown> mentions,
      List<CopyCame> copies,
      List<KeptChanged> changed,
      List<AnnotationsWaiting.WaitingInFolder> annotations,
      List<DriveFiles.DriveFileShown> drive,
      boolean more) {}

  Waiting(
      Arrivals arrivals,
      Reviews reviews,
      RemarkLists remarks,
      RequestLists requests,
      Trail trail,
      KeptChanges keptChanges,
      AnnotationsWaiting annotations,
      DriveFiles drive,
      Publications publications,
      Calendar calendar) {
    this.arrivals = arrivals;
    this.reviews = reviews;
    this.remarks = remarks;
    this.requests = requests;
    this.trail = trail;
    this.keptChanges = keptChanges;
    this.annotations = annotations;
    this.drive = drive;
    this.publications = publications;
    this.calendar = calendar;
  }

  WaitsFor of(Member who) {
    List<Reviews.Raised> raised = who.mayWrite() ? reviews.raisedFor(who, MOST + 1) : List.of();
    List<RemarkLists.Mention> mentions = remarks.mentioning(who, MOST + 1);
    List<RequestLists.DeliveredCopy> copies =
        requests.delivered(who, calendar.now().minus(NEWS), MOST + 1);
    List<KeptChanges.KeptChange> changed = keptChanges.of(who, MOST + 1);
    List<AnnotationsWaiting.WaitingInFolder> annotated = annotations.of(who, MOST + 1);
    List<DriveFiles.DriveFileShown> onDrive = drive.inTrouble(who, MOST + 1);
    Map<Integer, WorkTitled> titles =
        publications.titles(
            Viewer.of(who),
            Stream.of(
                    raised.stream().map(Reviews.Raised::publication),
                    mentions.stream().map(RemarkLists.Mention::publication),
                    copies.stream().map(RequestLists.DeliveredCopy::publication),
                    changed.stream().map(KeptChanges.KeptChange::publication))
                .flatMap(Function.identity())
                .filter(Objects::nonNull)
                .distinct()
                .toList());
    return new WaitsFor(
        arrivals.owedByAlert(who),
        raised.stream()
            .limit(MOST)
            .filter(one -> titles.containsKey(one.publication()))
            .map(
                one ->
                    new RaisedShown(
                        titles.get(one.publication()), one.by(), one.question(), one.at()))
            .toList(),
        mentions.stream()
            .limit(MOST)
            .filter(one -> titles.containsKey(one.publication()))
            .map(
                one ->
                    new MentionShown(
                        one.remark(),
                        titles.get(one.publication()),
                        one.by(),
                        one.text(),
                        one.at()))
            .toList(),
        unopened(who, copies).limit(MOST).map(one -> shown(one, titles)).toList(),
        changed.stream()
            .limit(MOST)
            .filter(one -> titles.containsKey(one.publication()))
            .map(
                one ->
                    new KeptChanged(
                        titles.get(one.publication()), one.kinds(), one.folder(), one.at()))
            .toList(),
        annotated.stream().limit(MOST).toList(),
        onDrive.stream().limit(MOST).toList(),
        Stream.of(raised, mentions, copies, changed, annotated, onDrive)
            .anyMatch(some -> some.size() > MOST));
  }

  private static CopyCame shown(RequestLists.DeliveredCopy copy, Map<Integer, WorkTitled> titles) {
    return new CopyCame(
        copy.request(),
        copy.publication() == null ? null : titles.get(copy.publication()),
        copy.described(),
        copy.at(),
        copy.days());
  }

  /** What the member did not open since it came. */
  private Stream<RequestLists.DeliveredCopy> unopened(
      Member who, List<RequestLists.DeliveredCopy> copies) {
    Map<Integer, Instant> opened =
        trail.lastOpened(
            who,
            copies.stream()
                .map(RequestLists.DeliveredCopy::publication)
                .filter(Objects::nonNull)
                .toList());
    return copies.stream()
        .filter(
            copy ->
                copy.publication() == null
                    || opened.getOrDefault(copy.publication(), Instant.MIN).isBefore(copy.at()));
  }
}
