package org.quietlantern.server.drive;

import java.util.UUID;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The shared drive of a group, and its files there. */
@RestController
@RequestMapping("/api/groups/{group}/drive")
class DriveController {
  private final Drives drives;
  private final DriveFiles files;

  /** {@code over}: also in the place of what somebody else put there. */
  record AgainWanted(boolean over) {}

  record KeptWanted(boolean kept) {}

  DriveController(Drives drives, DriveFiles files) {
    this.drives = drives;
    this.files = files;
  }

  /** Where it is; nothing where none is set. */
  @GetMapping
  Drives.DriveShown drive(Member me) {
    return drives.of(me);
  }

  /** Tries a drive and keeps it with its password, for coordinators. */
  @PutMapping
  Drives.DriveShown set(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody Drives.SetWanted body) {
    return drives.set(me, command, body);
  }

  /** Forgets it with its password, for coordinators. */
  @DeleteMapping
  Drives.DriveShown forget(Member me, @RequestHeader("Command-Id") UUID command) {
    return drives.forget(me, command);
  }

  /** What stands in a folder of it now. */
  @GetMapping("/folder")
  Drives.DriveFolder folder(Member me, @RequestParam(defaultValue = "") String at) {
    return drives.folder(me, at);
  }

  /** Files of the group there, the latest first; {@code before}: as a page said. */
  @GetMapping("/files")
  DriveFiles.DrivePage files(Member me, @RequestParam(required = false) @Nullable String before) {
    return files.page(me, before);
  }

  /** Has something written there. */
  @PostMapping("/files")
  DriveFiles.OnDrive put(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @RequestBody DriveFiles.PutWanted body) {
    return files.put(me, command, body);
  }

  /** Has it written now. */
  @PostMapping("/files/{driveFile}/again")
  DriveFiles.OnDrive again(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String driveFile,
      @RequestBody AgainWanted body) {
    return files.again(me, command, driveFile, body.over());
  }

  /** Says whether it is kept up to date. */
  @PutMapping("/files/{driveFile}")
  DriveFiles.OnDrive keep(
      Member me,
      @RequestHeader("Command-Id") UUID command,
      @PathVariable String driveFile,
      @RequestBody KeptWanted body) {
    return files.keep(me, command, driveFile, body.kept());
  }

  /** No longer looks after it; it stays on the drive. */
  @DeleteMapping("/files/{driveFile}")
  DriveFiles.OnDrive leave(
      Member me, @RequestHeader("Command-Id") UUID command, @PathVariable String driveFile) {
    return files.leave(me, command, driveFile);
  }
}
