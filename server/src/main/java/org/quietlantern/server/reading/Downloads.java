package org.quietlantern.server.reading;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.reference.Included;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.core.reference.RisWriter;
import org.quietlantern.core.text.NotedPdf;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.citing.KeptKeys;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Files of texts to take along, named by whose, of which year and by their first words. */
@Service
public class Downloads {
  private static final int WORDS = 6;
  private final TextMapper mapper;
  private final GroupTexts texts;
  private final TextWorker worker;
  private final Mends mends;
  private final KeptKeys keys;
  private final LanternProperties properties;

  /** {@code type}: its media type. */
  public record Download(String name, String type, Resource file) {
    /** {@code kept}: how long a browser may keep it. */
    public ResponseEntity<Resource> answer(CacheControl kept) {
      return ResponseEntity.ok()
          .contentType(MediaType.parseMediaType(type))
          .cacheControl(kept)
          .header(HttpHeaders.CONTENT_DISPOSITION, Attachment.disposition(name))
          .body(file);
    }
  }

  Downloads(
      TextMapper mapper,
      GroupTexts texts,
      TextWorker worker,
      Mends mends,
      KeptKeys keys,
      LanternProperties properties) {
    this.mends = mends;
    this.keys = keys;
    this.properties = properties;
    this.worker = worker;
    this.mapper = mapper;
    this.texts = texts;
  }

  @Transactional(readOnly = true)
  public Download of(Member who, String text) {
    TextMapper.Row row = texts.row(who, text);
    return file(mapper, row, texts.work(who, row).publication());
  }

  static Download file(TextMapper mapper, TextMapper.Row row, Publication publication) {
    boolean isPdf = row.form().equals("pdf");
    return new Download(
        Attachment.name(name(publication), row.form()),
        // A page of others is never one of ours.
        isPdf ? "application/pdf" : "application/octet-stream",
        new TextFile(mapper, row));
  }

  /** A ZIP of the file and, beside it, its citation with the stable link: as text and as RIS. */
  @Transactional(readOnly = true)
  public Download bundle(Member who, String text) {
    TextMapper.Row row = texts.row(who, text);
    StoredPublication work = texts.work(who, row);
    Download file = file(mapper, row, work.publication());
    String link = properties.stableLink(work.pid());
    Publication read = Mends.read(work, mends.of(who, List.of(work.id())));
    String cited = PlainCitation.of(read) + "\n" + link + "\n";
    String key = keys.of(who.group(), Map.of(work.id(), read)).get(work.id());
    String ris = new RisWriter(Included.ALL).entry(Reference.of(key, read, link));
    String stem = file.name().replaceFirst("\\.\\w+$", "");
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
      LocalDateTime came = row.at().atZone(who.zoneId()).toLocalDateTime();
      put(zip, came, file.name(), file.file().getContentAsByteArray());
      put(zip, came, stem + ".txt", cited.getBytes(StandardCharsets.UTF_8));
      put(zip, came, stem + ".ris", ris.getBytes(StandardCharsets.UTF_8));
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
    Resource all = new ByteArrayResource(bytes.toByteArray());
    return new Download(stem + ".zip", "application/zip", all);
  }

  private static void put(ZipOutputStream zip, LocalDateTime came, String name, byte[] content)
      throws IOException {
    ZipEntry entry = new ZipEntry(name);
    entry.setTimeLocal(came);
    zip.putNextEntry(entry);
    zip.write(content);
    zip.closeEntry();
  }

  /**
   * The file with notes in it, for a PDF. Not to be called in a transaction.
   *
   * @param work of which it is a text
   * @param notes in the order in which they stand
   */
  public Download noted(
      Member who, String text, StoredPublication work, List<NotedPdf.Note> notes) {
    TextMapper.Row row = texts.row(who, text);
    if (!row.form().equals("pdf")) {
      throw Refusal.conflict("form", "Notes are put into files; this text is a page of the web.");
    }
    try {
      byte[] pdf = worker.write(new TextFile(mapper, row).getContentAsByteArray(), notes);
      String name = name(work.publication()) + " with notes";
      return new Download(
          Attachment.name(name, "pdf"), "application/pdf", new ByteArrayResource(pdf));
    } catch (TakenText.Unreadable why) {
      throw Refusal.unusable("text", why.getMessage());
    } catch (IOException gone) {
      throw new UncheckedIOException(gone);
    }
  }

  private static String name(Publication publication) {
    String family = publication.authors().stream().findFirst().map(PersonName::family).orElse("");
    String year = publication.date().map(date -> Integer.toString(date.year())).orElse("");
    String words =
        Stream.of(publication.title().split(" ")).limit(WORDS).collect(Collectors.joining(" "));
    return String.join(" ", family, year, words);
  }
}
