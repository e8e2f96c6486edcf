package org.quietlantern.core.report;

import java.util.ArrayList;
import java.util.List;

/**
 * What became of what came in, written down.
 *
 * @param title of what, and from when to when
 * @param made when and by whom, as a sentence
 * @param alerts name, what it looks for, since when, how many of the works it found
 * @param reviewers name, how many they looked at, kept, passed; empty where they are not named
 * @param address where it stands
 */
public record FlowReport(
    String title,
    String made,
    List<List<String>> alerts,
    Flow flow,
    List<List<String>> reviewers,
    String address) {
  public FlowReport {
    alerts = List.copyOf(alerts);
    reviewers = List.copyOf(reviewers);
  }

  public Document document() {
    List<Document.Block> blocks = new ArrayList<>();
    blocks.add(new Document.Paragraph(made));
    blocks.add(
        new Document.Paragraph(
            "Each work is counted once, in the state in which it stands now; the order is that of"
                + " the PRISMA 2020 flow diagram."));
    blocks.add(new Document.Heading("What became of it"));
    List<List<String>> rows = new ArrayList<>();
    for (Flow.FlowStep box : flow.boxes()) {
      rows.add(List.of(box.label(), "", Numbers.grouped(box.n())));
      for (Flow.FlowPart part : box.parts()) {
        rows.add(List.of("", part.label(), Numbers.grouped(part.n())));
      }
    }
    blocks.add(new Document.Table(List.of("step", "of which", "number"), rows));
    blocks.add(new Document.Heading("What was watched"));
    if (alerts.isEmpty()) {
      blocks.add(new Document.Paragraph("No alert brought anything."));
    } else {
      blocks.add(
          new Document.Table(List.of("alert", "what it looks for", "since", "works"), alerts));
    }
    if (!reviewers.isEmpty()) {
      blocks.add(new Document.Heading("Who reviewed"));
      blocks.add(new Document.Table(List.of("member", "looked at", "kept", "passed"), reviewers));
    }
    blocks.add(new Document.Heading("Address"));
    blocks.add(new Document.Paragraph(address));
    return new Document(title, blocks);
  }
}
