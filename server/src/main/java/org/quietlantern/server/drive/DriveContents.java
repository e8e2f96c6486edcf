package org.quietlantern.server.drive;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.util.List;
import java.util.Objects;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.core.citation.file.BibliographyHtml;
import org.quietlantern.server.bibliography.Bibliographies;
import org.quietlantern.server.bibliography.BibliographyForm;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.export.WholeFiles;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.quietlantern.server.reading.Downloads;
import org.springframework.stereotype.Component;

/** Makes what is written on a drive. */
@Component
class DriveContents {
  private final WholeFiles references;
  private final Bibliographies bibliographies;
  private final FolderReading folders;
  private final Downloads texts;

  /**
   * @param title of what it is
   * @param name that a file of it has
   */
  record Described(String title, String name) {}

  /**
   * A file that was made.
   *
   * @param digest of its bytes
   * @param meaning digest of what it says: equal where nothing has changed but the day
   */
  record Made(byte[] digest, byte[] meaning, long size, int works) {}

  private interface Writing {
    /** Answers how many works it wrote. */
    int write(OutputStream to) throws IOException;
  }

  DriveContents(
      WholeFiles references,
      Bibliographies bibliographies,
      FolderReading folders,
      Downloads texts) {
    this.references = references;
    this.bibliographies = bibliographies;
    this.folders = folders;
    this.texts = texts;
  }

  /** Refused where there is no such thing, or not for this member. */
  Described describe(Member who, DriveWanted wanted) {
    switch (wanted.what()) {
      case "references" -> {
        WholeFiles.Described of = references.describe(who, references(wanted));
        return new Described(of.title(), of.name());
      }
      case "bibliography" -> {
        String name = folders.works(who, folder(wanted)).name();
        Bibliographies.requireSaid(annotations(wanted));
        return new Described(name, Attachment.name(name, form(wanted).ending()));
      }
      case "text" -> {
        String name = texts.of(who, text(wanted)).name();
        return new Described(name, name);
      }
      default ->
          throw Refusal.unusable("what", "References, a bibliography or a text go on the drive.");
    }
  }

  /** Writes it into a file; refused as describing it is. */
  Made make(Member who, DriveWanted wanted, Path to) throws IOException {
    return switch (wanted.what()) {
      case "references" -> {
        WholeFiles.References of = references(wanted);
        yield made(to, out -> references.write(who, of, out));
      }
      case "bibliography" -> bibliography(who, wanted, to);
      default -> made(to, out -> text(who, wanted, out));
    };
  }

  private Made bibliography(Member who, DriveWanted wanted, Path to) throws IOException {
    BibliographyFile file =
        bibliographies.file(who, folder(wanted), StyleChoice.NONE, annotations(wanted));
    byte[] bytes = form(wanted).write(file);
    int works =
        (int) file.parts().stream().filter(BibliographyFile.Entry.class::isInstance).count();
    Made made =
        made(
            to,
            out -> {
              out.write(bytes);
              return works;
            });
    BibliographyFile timeless = new BibliographyFile(file.title(), "", file.layout(), file.parts());
    return new Made(
        made.digest(), Hash.of(BibliographyHtml.document(timeless)), made.size(), made.works());
  }

  private int text(Member who, DriveWanted wanted, OutputStream out) throws IOException {
    try (InputStream file = texts.of(who, text(wanted)).file().getInputStream()) {
      file.transferTo(out);
      return 1;
    }
  }

  private static Made made(Path to, Writing writing) throws IOException {
    MessageDigest digest = Hash.begun();
    int works;
    try (OutputStream out =
        new DigestOutputStream(new BufferedOutputStream(Files.newOutputStream(to)), digest)) {
      works = writing.write(out);
    }
    byte[] bytes = digest.digest();
    return new Made(bytes, bytes, Files.size(to), works);
  }

  private static WholeFiles.References references(DriveWanted wanted) {
    return new WholeFiles.References(
        wanted.folder(),
        wanted.q(),
        wanted.round(),
        wanted.publications(),
        wanted.order(),
        Objects.requireNonNullElse(wanted.format(), ""),
        Objects.requireNonNullElse(wanted.with(), List.of()),
        Boolean.TRUE.equals(wanted.commands()));
  }

  private static String folder(DriveWanted wanted) {
    if (wanted.folder() == null) {
      throw Refusal.unusable("folder", "Say the bibliography of which folder.");
    }
    return wanted.folder();
  }

  private static String text(DriveWanted wanted) {
    if (wanted.text() == null) {
      throw Refusal.unusable("text", "Say which text.");
    }
    return wanted.text();
  }

  private static String annotations(DriveWanted wanted) {
    return Objects.requireNonNullElse(wanted.annotations(), "");
  }

  private static BibliographyForm form(DriveWanted wanted) {
    return BibliographyForm.named(Objects.requireNonNullElse(wanted.format(), ""));
  }
}
