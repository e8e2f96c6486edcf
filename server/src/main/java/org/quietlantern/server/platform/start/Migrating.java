package org.quietlantern.server.platform.start;

import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/** Brings the database to this version; one of a newer version, or of something else, is left. */
@Component
class Migrating implements FlywayMigrationStrategy {
  private static final Logger LOG = LoggerFactory.getLogger(Migrating.class);

  /** How Flyway says that there are tables, and none of its own. */
  private static final String NOT_OURS = "non-empty schema";

  @Override
  public void migrate(Flyway flyway) {
    MigrationInfo present = flyway.info().current();
    int known = Migrations.newest();
    int there = present == null ? 0 : Integer.parseInt(present.getVersion().getVersion());
    if (there > known) {
      throw new StartRefused(
          "The database is of a newer version (migration %d; this one knows %d)."
              .formatted(there, known),
          "Install the newer version again, or restore a copy that was made before it.");
    }
    try {
      flyway.migrate();
    } catch (FlywayException other) {
      if (String.valueOf(other.getMessage()).contains(NOT_OURS)) {
        throw new StartRefused(
            "The database has tables of something else.",
            "Set database to an empty one, or to one of Quiet Lantern's own.");
      }
      throw other;
    }
    if (there > 0 && there < known) {
      LOG.info("the database was brought from migration {} to {}", there, known);
    }
  }
}
