package org.quietlantern.server.support;

import java.net.URI;
import java.util.List;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.catalogue.Catalogue;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.index.IndexKeeper;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.support.TransactionTemplate;

/** Hands records to the catalogue's door as if a source had supplied them just now. */
public final class Supply {
  private final TestApp app;
  private final String source;
  private final boolean found;

  /** A source of the application that exists, by its key; what it supplies is found at once. */
  public Supply(TestApp app, String source) {
    this(app, source, true);
  }

  /** {@code found}: whether the index takes in what is supplied. */
  public Supply(TestApp app, String source, boolean found) {
    this.app = app;
    this.source = source;
    this.found = found;
  }

  /** A source made for a test; nobody answers at its address. */
  public static Supply made(TestApp app, String key, int rank) {
    app.bean(Harvests.class)
        .addSource(key, "Source " + key, URI.create("http://127.0.0.1:9/oai"), "mods", rank);
    return new Supply(app, key);
  }

  public void take(SourceRecord... records) {
    take(List.of(records));
  }

  /** In as many pages as it needs. */
  public void take(List<SourceRecord> records) {
    for (int start = 0; start < records.size(); start += Catalogue.MOST) {
      List<SourceRecord> page =
          records.subList(start, Math.min(start + Catalogue.MOST, records.size()));
      app.bean(TransactionTemplate.class)
          .executeWithoutResult(status -> app.bean(Catalogue.class).take(id(), page));
    }
    if (found) {
      app.bean(IndexKeeper.class).catchUp();
    }
  }

  public int id() {
    return app.bean(JdbcTemplate.class)
        .queryForObject("select id from source where key = ?", Integer.class, source);
  }

  /** A record of a tidy source. {@code more}: further elements of MODS. */
  public static SourceRecord mods(String id, String title, String family, String more) {
    String raw =
        "<mods xmlns=\"http://www.loc.gov/mods/v3\"><titleInfo><title>%s</title></titleInfo>"
                .formatted(title)
            + "<name><namePart type=\"family\">%s</namePart><namePart type=\"given\">Liv Marie</namePart></name>"
                .formatted(family)
            + "<genre>article</genre><originInfo><dateIssued>2026-03-04</dateIssued></originInfo>"
            + more
            + "</mods>";
    return new SourceRecord(id, "mods", raw, "2026-11-20", false);
  }

  /** The same, typed in by somebody in a hurry. */
  public static SourceRecord dublinCore(String id, String title, String creator, String more) {
    String raw =
        "<oai_dc:dc xmlns:oai_dc=\"http://www.openarchives.org/OAI/2.0/oai_dc/\""
            + " xmlns:dc=\"http://purl.org/dc/elements/1.1/\"><dc:title>%s</dc:title>"
                .formatted(title)
            + "<dc:creator>%s</dc:creator><dc:date>2026</dc:date>%s</oai_dc:dc>"
                .formatted(creator, more);
    return new SourceRecord(id, "oai_dc", raw, "2026-11-20", false);
  }

  public static String doi(String doi) {
    return "<identifier type=\"doi\">" + doi + "</identifier>";
  }
}
