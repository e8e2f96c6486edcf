package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.drive.DriveFiles;
import org.quietlantern.server.drive.DriveWanted;
import org.quietlantern.server.drive.Drives;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The first group's shared drive, with the references of its manuscript. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoDrive {
  private static final String NAME = "ternhollow";
  private static final String PASSWORD = "lamp-at-dusk";
  private final DemoMembers members;
  private final DemoCiting citing;
  private final Drives drives;
  private final DriveFiles files;
  private final LanternProperties properties;

  DemoDrive(
      DemoMembers members,
      DemoCiting citing,
      Drives drives,
      DriveFiles files,
      LanternProperties properties) {
    this.members = members;
    this.citing = citing;
    this.drives = drives;
    this.files = files;
    this.properties = properties;
  }

  /** Once, and again where it has moved since the demo ran last; what was given up stays so. */
  void set() {
    String address = properties.demo().outside() + "/drive/";
    Member ilse = members.find("Ilse").filter(Member::coordinates).orElse(null);
    if (ilse == null) {
      return;
    }
    drives.set(ilse, command("at " + address), new Drives.SetWanted(address, NAME, PASSWORD));
    if (drives.of(ilse).address() != null) {
      citing.folder().ifPresent(folder -> put(ilse, folder));
    }
  }

  private void put(Member who, String folder) {
    DriveWanted bibtex =
        new DriveWanted(
            "references",
            "bibtex",
            folder,
            null,
            null,
            null,
            null,
            null,
            List.of("link"),
            false,
            null);
    files.put(
        who,
        command("references"),
        new DriveFiles.PutWanted("Manuscript", "verge-lighting.bib", true, bibtex));
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo drive " + what).getBytes(StandardCharsets.UTF_8));
  }
}
