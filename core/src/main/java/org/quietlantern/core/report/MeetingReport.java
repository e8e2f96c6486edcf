package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Minutes of a group's meeting: who was there, and of each work what members had said and what the
 * group came to.
 *
 * @param title which meeting
 * @param when when, where and of which group, as a sentence
 * @param present names of who was there
 * @param missing names of members who were not
 * @param works in the order in which they were on the agenda
 * @param address where the meeting stands
 */
public record MeetingReport(
    String title,
    String when,
    List<String> present,
    List<String> missing,
    List<WorkOf> works,
    String address) {
  public MeetingReport {
    present = List.copyOf(present);
    missing = List.copyOf(missing);
    works = List.copyOf(works);
  }

  /**
   * A work on the agenda.
   *
   * @param cited as the group cites it
   * @param why it was on the agenda, as a sentence
   * @param said what members had said before the group decided: name, mark, reason
   * @param outcome what was decided, as a sentence
   * @param words that were noted; may be empty
   */
  public record WorkOf(
      String cited, String why, List<List<String>> said, String outcome, String words) {
    public WorkOf {
      said = List.copyOf(said);
    }
  }

  public Document document() {
    List<Document.Block> blocks = new ArrayList<>();
    blocks.add(new Document.Paragraph(when));
    blocks.add(new Document.Paragraph("There: " + named(present) + "."));
    if (!missing.isEmpty()) {
      blocks.add(new Document.Paragraph("Not there: " + named(missing) + "."));
    }
    if (works.isEmpty()) {
      blocks.add(new Document.Paragraph("There was nothing on the agenda."));
    }
    for (int n = 0; n < works.size(); n++) {
      WorkOf work = works.get(n);
      blocks.add(new Document.Heading(n + 1 + ". " + work.outcome()));
      blocks.add(new Document.Paragraph(work.cited()));
      blocks.add(new Document.Paragraph(work.why()));
      if (!work.words().isEmpty()) {
        blocks.add(new Document.Paragraph(work.words()));
      }
      if (!work.said().isEmpty()) {
        blocks.add(new Document.Table(List.of("had said", "what", "why"), work.said()));
      }
    }
    blocks.add(new Document.Heading("Address"));
    blocks.add(new Document.Paragraph(address));
    return new Document(title, blocks);
  }

  private static String named(List<String> names) {
    return names.isEmpty() ? "nobody was noted" : names.stream().collect(Collectors.joining(", "));
  }
}
