package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.quietlantern.core.annotation.AnnotationState;
import org.quietlantern.server.annotation.AnnotationReading;
import org.quietlantern.server.annotation.AnnotationRemarks;
import org.quietlantern.server.annotation.Annotations;
import org.quietlantern.server.bibliography.Bibliographies;
import org.quietlantern.server.bibliography.Chapters;
import org.quietlantern.server.bibliography.EntryOfFolder;
import org.quietlantern.server.bibliography.QuotedThrough;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.group.Member;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Half of a bibliography of the first made-up group is annotated: a colleague suggests words. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoAnnotating {
  private static final int WRITTEN = 4;
  private static final int READ = 2;
  private static final List<String> HEADINGS = List.of("Lamps and moths", "Before and after");

  /** Said of the first entries. */
  private static final List<String> SAID =
      List.of(
          "Sets lit and dark verges of one county side by side over two summers. *The dark ones lie further from the road*, which is said in the appendix only.\nWe use its figures for the eastern verges, not its conclusion.",
          "Clear on what was asked and of whom; nothing to compare with in the first year. Good on the drivers of the lamps, short on weather.",
          "Useful for its method and for the map of sites. The sample is small (*n* = 12).");

  private static final String OTHERWISE =
      "Clear on what was asked and of whom; nothing to compare with in the first of three years. Good on the drivers of the lamps; says nothing of the weather.";

  private static final String OF_COLLEAGUE =
      "The table of spectra is the best that we have. Which lamps were dimmed is not said.";

  private final DemoMembers members;
  private final DemoCiting citing;
  private final Bibliographies bibliographies;
  private final Chapters chapters;
  private final QuotedThrough quoted;
  private final Annotations annotations;
  private final AnnotationRemarks remarks;
  private final AnnotationReading reading;

  DemoAnnotating(
      DemoMembers members,
      DemoCiting citing,
      Bibliographies bibliographies,
      Chapters chapters,
      QuotedThrough quoted,
      Annotations annotations,
      AnnotationRemarks remarks,
      AnnotationReading reading) {
    this.members = members;
    this.citing = citing;
    this.bibliographies = bibliographies;
    this.chapters = chapters;
    this.quoted = quoted;
    this.annotations = annotations;
    this.remarks = remarks;
    this.reading = reading;
  }

  /** {@code left}: days until the past ends. */
  void live(long left) {
    if (left == WRITTEN) {
      citing.folder().ifPresent(this::write);
    } else if (left == READ) {
      citing.folder().ifPresent(this::read);
    }
  }

  /** Teodor makes headings, and writes of the first works. */
  private void write(String folder) {
    Member teodor = members.named("Teodor");
    List<String> works =
        bibliographies.view(teodor, folder, 0, StyleChoice.NONE).entries().stream()
            .map(EntryOfFolder::publication)
            .toList();
    chapters.set(
        teodor,
        command("headings"),
        folder,
        List.of(),
        HEADINGS.stream().map(name -> new Chapters.ChapterWanted("", name)).toList());
    int half = works.size() / 2;
    for (int n = 0; n < 2; n++) {
      List<String> some = n == 0 ? works.subList(0, half) : works.subList(half, works.size());
      if (!some.isEmpty()) {
        chapters.put(teodor, command("heading " + n), folder, some, HEADINGS.get(n));
      }
    }
    for (int n = 0; n < Math.min(SAID.size(), works.size()); n++) {
      annotations.write(teodor, command("says " + n), folder, works.get(n), SAID.get(n), 0);
    }
    Stream.of(0, 1)
        .filter(n -> n < works.size())
        .forEach(
            n ->
                annotations.state(
                    teodor, command("to be read " + n), folder, works.get(n), "to be read", 1));
  }

  /** Maren agrees to one, suggests other words for the next, and writes of a work herself. */
  private void read(String folder) {
    Member maren = members.named("Maren");
    List<EntryOfFolder> entries = bibliographies.view(maren, folder, 0, StyleChoice.NONE).entries();
    List<String> toBeRead =
        entries.stream()
            .filter(one -> one.annotation() != null)
            .filter(one -> one.annotation().is(AnnotationState.TO_BE_READ))
            .map(EntryOfFolder::publication)
            .toList();
    if (toBeRead.size() < 2) {
      return;
    }
    annotations.state(maren, command("agreed"), folder, toBeRead.get(0), "agreed", 2);
    remarks.say(
        maren,
        command("otherwise"),
        folder,
        toBeRead.get(1),
        new AnnotationRemarks.ToSay(
            reading.view(maren, folder, toBeRead.get(1)).text(),
            null,
            "There were three, see figure 2.",
            OTHERWISE));
    quoted.note(
        maren,
        command("quoted"),
        folder,
        toBeRead.get(1),
        "Pell, H. (1987). Lamps on county roads. Verge Trust.",
        "");
    entries.stream()
        .filter(one -> one.annotation() == null)
        .findFirst()
        .ifPresent(
            one ->
                annotations.write(
                    maren, command("says"), folder, one.publication(), OF_COLLEAGUE, 0));
  }

  private static UUID command(String what) {
    return UUID.nameUUIDFromBytes(("demo annotating " + what).getBytes(StandardCharsets.UTF_8));
  }
}
