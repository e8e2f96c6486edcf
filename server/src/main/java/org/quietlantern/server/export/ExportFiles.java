package org.quietlantern.server.export;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.core.reference.ReferenceFormat;
import org.quietlantern.core.reference.ReferenceWriter;
import org.quietlantern.server.citing.KeptKeys;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.stereotype.Service;

/** Writes works that leave, page by page. */
@Service
class ExportFiles {
  private final WorksRead works;
  private final KeptKeys keys;

  /** What a file shall be: {@code commands} of LaTeX for letters beyond ASCII, in BibTeX. */
  record Wanted(ReferenceFormat format, boolean commands, Set<Part> parts) {
    static Wanted of(String format, boolean commands, List<String> with) {
      return new Wanted(
          ReferenceFormat.named(format)
              .orElseThrow(() -> Refusal.unusable("format", "No such format: " + format)),
          commands,
          Part.named(with));
    }

    ReferenceWriter writer() {
      return format.writer(Part.included(parts), commands);
    }
  }

  /**
   * What a file will be.
   *
   * @param works how many stand in it
   * @param order in which order
   * @param first how it begins, with its first work; may be empty
   * @param offered what may go along
   * @param left what was asked for and is not in it, with why
   */
  record Preview(
      String fileName,
      int works,
      String order,
      String first,
      List<String> offered,
      List<LeftOut> left) {}

  /** {@code what}: a title, or an id where there is none. */
  record LeftOut(String what, String why) {}

  /**
   * A piece of a file.
   *
   * @param done works up to here
   */
  record Piece(int done, String text) {}

  /** The end of a file: how many works stand in it, and what does not. */
  record End(int works, List<LeftOut> left) {}

  /** Takes pieces as they are made. */
  interface Taking {
    void take(Piece piece) throws IOException;
  }

  ExportFiles(WorksRead works, KeptKeys keys) {
    this.works = works;
    this.keys = keys;
  }

  /** Nothing is written, no key given. */
  Preview preview(Member who, Leaving leaving, Wanted wanted) {
    List<Integer> first = leaving.works().subList(0, Math.min(1, leaving.works().size()));
    ReferenceWriter writer = wanted.writer();
    String text =
        read(who, leaving, first, wanted, false).stream()
            .map(one -> writer.begin() + writer.entry(one))
            .findFirst()
            .orElse("");
    return new Preview(
        Attachment.name(leaving.name(), wanted.format().extension()),
        leaving.works().size(),
        leaving.order(),
        text,
        leaving.offered().stream().map(Part::word).toList(),
        unknown(leaving));
  }

  /** Each work gets the key that it keeps. */
  End write(Member who, Leaving leaving, Wanted wanted, Taking to) throws IOException {
    ReferenceWriter writer = wanted.writer();
    List<LeftOut> left = unknown(leaving);
    to.take(new Piece(0, writer.begin()));
    int done = 0;
    int written = 0;
    for (List<Integer> page : leaving.pages()) {
      StringBuilder text = new StringBuilder();
      List<Reference> references = read(who, leaving, page, wanted, true);
      for (Reference one : references) {
        text.append(written > 0 ? writer.between() : "").append(writer.entry(one));
        written++;
      }
      if (references.size() < page.size()) {
        left.add(
            new LeftOut(
                "%,d works".formatted(page.size() - references.size()),
                "they went while the file was written"));
      }
      done += page.size();
      to.take(new Piece(done, text.toString()));
    }
    to.take(new Piece(done, writer.end(written)));
    return new End(written, left);
  }

  private static List<LeftOut> unknown(Leaving leaving) {
    return leaving.unknown().stream()
        .map(pid -> new LeftOut(pid, "it is not in the catalogue"))
        .collect(Collectors.toCollection(ArrayList::new));
  }

  private List<Reference> read(
      Member who, Leaving leaving, List<Integer> page, Wanted wanted, boolean giving) {
    List<WorksRead.Work> read = works.of(who, page);
    Map<Integer, Publication> byId =
        read.stream().collect(Collectors.toMap(WorksRead.Work::id, WorksRead.Work::publication));
    Map<Integer, String> named = giving ? keys.give(who.group(), byId) : keys.of(who.group(), byId);
    Set<Part> parts =
        wanted.parts().stream().filter(leaving.offered()::contains).collect(Collectors.toSet());
    Map<Integer, Leaving.Said> said = leaving.said().of(byId.keySet(), parts);
    return read.stream()
        .map(
            one -> {
              Leaving.Said its = said.getOrDefault(one.id(), Leaving.Said.NOTHING);
              return new Reference(
                  named.get(one.id()),
                  one.publication(),
                  one.link(),
                  its.notes(),
                  its.annotation());
            })
        .toList();
  }
}
