package org.quietlantern.server.export;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.stereotype.Service;

/** Files of references for other places than a browser. */
@Service
public class WholeFiles {
  private final Selections selections;
  private final ExportFiles files;

  /**
   * Of what, and how. One of the first four says of what.
   *
   * @param q of a settled search
   * @param publications in their order
   * @param order of a folder, as lists have it; absent: the usual one
   * @param format as a preview names it
   * @param with what goes along of what a preview offers
   * @param commands whether letters beyond ASCII are commands of LaTeX
   */
  public record References(
      @Nullable String folder,
      @Nullable String q,
      @Nullable String round,
      @Nullable List<String> publications,
      @Nullable String order,
      String format,
      List<String> with,
      boolean commands) {
    private ExportFiles.Wanted wanted() {
      return ExportFiles.Wanted.of(format, commands, with);
    }
  }

  /**
   * What will be in a file.
   *
   * @param title of what it is
   * @param name that a file of it has
   */
  public record Described(String title, String name, int works) {}

  WholeFiles(Selections selections, ExportFiles files) {
    this.selections = selections;
    this.files = files;
  }

  /** Refused where it cannot be written, or not for this member. */
  public Described describe(Member who, References of) {
    ExportFiles.Wanted wanted = of.wanted();
    Leaving leaving = leaving(who, of);
    return new Described(
        leaving.name(),
        Attachment.name(leaving.name(), wanted.format().extension()),
        leaving.works().size());
  }

  /** In UTF-8; answers how many works stand in it. */
  public int write(Member who, References of, OutputStream to) throws IOException {
    Writer text = new OutputStreamWriter(to, StandardCharsets.UTF_8);
    ExportFiles.End end =
        files.write(who, leaving(who, of), of.wanted(), piece -> text.append(piece.text()));
    text.flush();
    return end.works();
  }

  private Leaving leaving(Member who, References of) {
    return selections.of(
        who, new Selections.Named(of.folder(), of.q(), of.round(), of.publications(), of.order()));
  }
}
