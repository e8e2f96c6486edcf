package org.quietlantern.server.drive;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import org.quietlantern.core.drive.DriveAnswer;
import org.quietlantern.core.drive.DrivePath;
import org.quietlantern.core.drive.EntityTag;
import org.quietlantern.core.mail.Patience;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Checkpoint;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Writes one file on a drive. Nothing that is not ours is written over: what stands there is known
 * by its tag and, where that does not tell, by its content. What is about to be sent is noted
 * first, so that a server that is killed meanwhile knows its own file again.
 */
@Component
class DriveWriting {
  private static final Logger LOG = LoggerFactory.getLogger(DriveWriting.class);

  /** Between two looks at a file that is kept up to date. */
  static final Duration PAUSE = Duration.ofMinutes(15);

  private final DriveFileMapper mapper;
  private final Drives drives;
  private final DriveFiles files;
  private final DriveContents contents;
  private final DriveTalk talk;
  private final Groups groups;
  private final Calendar calendar;
  private final Checkpoint checkpoint;

  /** What stands where a file is to go. */
  private record There(@Nullable EntityTag tag, boolean isSame) {}

  DriveWriting(
      DriveFileMapper mapper,
      Drives drives,
      DriveFiles files,
      DriveContents contents,
      DriveTalk talk,
      Groups groups,
      Calendar calendar,
      Checkpoint checkpoint) {
    this.mapper = mapper;
    this.drives = drives;
    this.files = files;
    this.contents = contents;
    this.talk = talk;
    this.groups = groups;
    this.calendar = calendar;
    this.checkpoint = checkpoint;
  }

  /** Answers whether the drive itself is in trouble, so that the next file can be spared it. */
  boolean write(DriveFileMapper.Row row) {
    try {
      Path file = Files.createTempFile("lantern-drive", ".part");
      try {
        write(row, file);
      } finally {
        Files.delete(file);
      }
    } catch (DriveTrouble trouble) {
      boolean taken = trouble.is(DriveAnswer.NOT_AS_THOUGHT);
      failed(row, trouble.getMessage(), trouble.passes(), taken);
      return trouble.ofDrive();
    } catch (Refusal refused) {
      failed(row, why(row, refused), false, false);
    } catch (Outbound.Closing stopping) {
      LOG.debug("file {} goes on after the next start", row.pid());
    } catch (IOException | RuntimeException broken) {
      // Others go on; this one is tried again.
      LOG.error("file {} could not be made", row.pid(), broken);
      failed(row, "The file could not be made here.", true, false);
    }
    return false;
  }

  private static String why(DriveFileMapper.Row row, Refusal refused) {
    return "unknown".equals(refused.type())
        ? "%s is not there any more, or not for whoever put it here.".formatted(row.title())
        : refused.getMessage();
  }

  private void write(DriveFileMapper.Row row, Path file) throws IOException {
    Member who =
        groups
            .inGroup(row.grp(), row.membership())
            .filter(Member::mayWrite)
            .orElseThrow(
                () ->
                    DriveTrouble.lasting(
                        "Whoever put it here is a member no more; put it here in your name."));
    DriveFileMapper.Seen seen = mapper.seen(row.grp());
    DriveWanted wanted = files.wanted(row);
    DriveContents.Made made = contents.make(who, wanted, file);
    Instant due = calendar.now().plus(PAUSE);
    if (row.state().equals("written") && Arrays.equals(made.meaning(), row.meaning())) {
      mapper.same(row.id(), seen, due, row.put());
      return;
    }
    DriveTalk.Place place = drives.place(row.grp());
    DrivePath path = DrivePath.read(row.path());
    There there = there(place, path, row, made);
    EntityTag tag = there.tag();
    if (!there.isSame()) {
      mapper.sending(row.id(), made.digest());
      tag = talk.put(place, path, file, type(path), Optional.ofNullable(there.tag()));
      checkpoint.pass("drive: file sent, not noted");
    }
    Instant now = calendar.now();
    mapper.written(
        new DriveFileMapper.Written(
            row.id(),
            made.digest(),
            made.meaning(),
            tag == null ? "" : tag.text(),
            made.size(),
            made.works(),
            now,
            now.plus(PAUSE),
            seen),
        row.put());
  }

  /**
   * Looks at what stands there.
   *
   * @throws DriveTrouble where it is not ours and may not be written over
   */
  private There there(
      DriveTalk.Place place, DrivePath path, DriveFileMapper.Row row, DriveContents.Made made)
      throws IOException {
    Optional<EntityTag> tag = talk.look(place, path);
    if (tag.isEmpty()) {
      if (row.sent() == null || row.over()) {
        return new There(null, false);
      }
      throw DriveTrouble.taken("It was taken off the drive, or has another name there.");
    }
    if (row.over() || tag.get().isLike(new EntityTag(row.tag()))) {
      return new There(tag.get(), false);
    }
    long most = Math.max(row.size(), made.size());
    byte[] digest =
        row.sent() == null && row.sending() == null
            ? null
            : talk.digest(place, path, most).orElse(null);
    if (digest != null && Arrays.equals(digest, made.digest())) {
      return new There(tag.get(), true);
    }
    boolean ours =
        digest != null
            && (Arrays.equals(digest, row.sent()) || Arrays.equals(digest, row.sending()));
    if (!ours) {
      throw DriveTrouble.taken(
          row.sent() == null
              ? "Another file stands on the drive under this name."
              : "Somebody changed it on the drive since it was written.");
    }
    return new There(tag.get(), false);
  }

  /** By what its name ends in; what is not known is bytes. */
  private static String type(DrivePath path) {
    String name = path.name();
    return switch (name.substring(name.lastIndexOf('.') + 1)) {
      case "bib", "ris", "txt" -> "text/plain; charset=utf-8";
      case "csv" -> "text/csv; charset=utf-8";
      case "json" -> "application/json";
      case "xml" -> "application/xml";
      case "html" -> "text/html; charset=utf-8";
      case "pdf" -> "application/pdf";
      case "docx" -> "application/vnd.openxmlformats-officedocument.wordprocessingml.document";
      default -> "application/octet-stream";
    };
  }

  /** What passes is tried again, later and later; a file that is kept is not given up. */
  private void failed(DriveFileMapper.Row row, String why, boolean passes, boolean taken) {
    LOG.info("file {} is not on its drive: {}", row.pid(), why);
    Optional<Duration> pause = passes ? Patience.after(row.tries() + 1) : Optional.empty();
    if (passes && row.kept() && pause.isEmpty()) {
      pause = Optional.of(Duration.ofDays(1));
    }
    mapper.failed(
        new DriveFileMapper.Failed(
            row.id(),
            pause.isPresent() ? "waiting" : "failed",
            why,
            taken,
            pause.map(calendar.now()::plus).orElse(null)),
        row.put());
  }
}
