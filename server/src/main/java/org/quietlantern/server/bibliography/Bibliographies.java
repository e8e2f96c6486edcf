package org.quietlantern.server.bibliography;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.annotation.AnnotationState;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.citing.CitedPart;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.citing.FaultShown;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Compared;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.review.Readings;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The bibliography of a folder: its works in a style and an order, with what is wrong in them. */
@Service
@Transactional(readOnly = true)
public class Bibliographies {
  /** Entries that are given at once. */
  private static final int SHOWN = 200;

  private final BibliographySettings settings;
  private final EntriesMaking making;
  private final Folders folders;
  private final FolderReading reading;
  private final Publications publications;
  private final Mends mends;
  private final Readings readings;
  private final BelowEntries belowEntries;
  private final Citing citing;
  private final Calendar calendar;

  Bibliographies(
      BibliographySettings settings,
      EntriesMaking making,
      Folders folders,
      FolderReading reading,
      Publications publications,
      Mends mends,
      Readings readings,
      BelowEntries belowEntries,
      Citing citing,
      Calendar calendar) {
    this.settings = settings;
    this.making = making;
    this.folders = folders;
    this.reading = reading;
    this.publications = publications;
    this.mends = mends;
    this.readings = readings;
    this.belowEntries = belowEntries;
    this.citing = citing;
    this.calendar = calendar;
  }

  /** What one request knows of a folder's bibliography. */
  private record Read(
      FolderReading.FolderWorks works,
      BibliographySettings.How how,
      Map<String, Publications.State> states,
      Mends.Said said,
      EntriesMaking.Whole whole) {
    /** Row number of the work of an entry. */
    int id(EntriesMaking.Entry entry) {
      return states.get(entry.publication()).id();
    }
  }

  private Read read(Member who, String folder, StyleChoice asked) {
    FolderReading.FolderWorks works = reading.works(who, folder);
    return read(who.group(), works, settings.of(citing.ofGroup(who), works.folder(), asked));
  }

  private Read read(int group, FolderReading.FolderWorks works, BibliographySettings.How how) {
    Map<String, Publications.State> states = publications.states(works.ids());
    Mends.Said said =
        mends.said(group, states.values().stream().map(Publications.State::id).toList());
    return new Read(
        works, how, states, said, making.of(group, works.ids(), states, said.mended(), how));
  }

  /**
   * Entries of a folder's bibliography.
   *
   * @param from the first of them, from 0
   * @param asked to be tried, instead of what is set; its parts may be empty
   */
  public BibliographyShown view(Member who, String folder, int from, StyleChoice asked) {
    Read read = read(who, folder, asked);
    List<EntriesMaking.Entry> all = read.whole().entries();
    int first = Math.min(Math.max(0, from), all.size());
    int end = Math.min(all.size(), first + SHOWN);
    List<EntriesMaking.Entry> page = all.subList(first, end);
    Map<Integer, Compared.CheckedBy> checked = Compared.of(read.states().values(), read.said());
    Collection<Integer> ids = page.stream().map(read::id).toList();
    Beside beside = new Beside(checked, readings.best(who, ids), below(read));
    return new BibliographyShown(
        folder,
        read.works().name(),
        read.works().may(),
        citing.style(read.how().choice().style()),
        read.how().own(),
        read.how().choice().language(),
        read.how().byHand(),
        read.whole().sorted(),
        Citing.missing(read.how().choice()),
        read.whole().layout(),
        read.works().ids().size(),
        checked.size(),
        (int) open(read, checked).filter(one -> !one.faults().isEmpty()).count(),
        (int) certain(read, checked).count(),
        beside.annotated(),
        beside.being(AnnotationState.TO_BE_READ),
        beside.being(AnnotationState.AGREED),
        read.how().chapters().names(),
        all.stream()
            .filter(one -> one.blocks().isEmpty())
            .map(EntriesMaking.Entry::publication)
            .toList(),
        page.stream().map(one -> shown(one, read.id(one), beside)).toList(),
        end < all.size() ? end : null);
  }

  /** What is known of works beside their entries, by row number. */
  private record Beside(
      Map<Integer, Compared.CheckedBy> checked,
      Map<Integer, Readings.BestRead> best,
      Map<Integer, BelowEntries.Below> below) {
    int annotated() {
      return (int) below.values().stream().filter(one -> one.annotation() != null).count();
    }

    int being(AnnotationState state) {
      return (int) below.values().stream().filter(one -> one.is(state)).count();
    }
  }

  /** Of works that are in the folder still. */
  private Map<Integer, BelowEntries.Below> below(Read read) {
    Map<Integer, BelowEntries.Below> below = belowEntries.of(read.works().folder());
    below
        .keySet()
        .retainAll(
            read.states().values().stream()
                .map(Publications.State::id)
                .collect(Collectors.toSet()));
    return below;
  }

  private static EntryOfFolder shown(EntriesMaking.Entry entry, int id, Beside beside) {
    BelowEntries.Below below = beside.below().getOrDefault(id, BelowEntries.Below.NOTHING);
    return new EntryOfFolder(
        entry.publication(),
        entry.chapter(),
        CitedPart.of(entry.blocks()),
        entry.faults(),
        beside.checked().get(id),
        Optional.ofNullable(beside.best().get(id)).map(Readings.BestRead::extent).orElse(""),
        below.annotation(),
        below.quoted());
  }

  /** Those that nobody has compared with the work: where somebody did, it is right as it is. */
  private static Stream<EntriesMaking.Entry> open(
      Read read, Map<Integer, Compared.CheckedBy> checked) {
    return read.whole().entries().stream().filter(one -> !checked.containsKey(read.id(one)));
  }

  private static Stream<Mends.MendWanted> certain(
      Read read, Map<Integer, Compared.CheckedBy> checked) {
    return open(read, checked)
        .flatMap(
            entry ->
                entry.faults().stream()
                    .filter(FaultShown::certain)
                    .map(
                        fault ->
                            new Mends.MendWanted(
                                entry.publication(), fault.field(), fault.reads(), fault.mend())));
  }

  /** Mends everything that is certain, as one act; refused where it is not as many as were seen. */
  @Transactional
  public Mends.MendsSet mendCertain(Member who, UUID command, String folder, int seen) {
    folders.idToEdit(who, folder);
    return mends.set(who, command, () -> certain(who, folder, seen));
  }

  private List<Mends.MendWanted> certain(Member who, String folder, int seen) {
    Read read = read(who, folder, StyleChoice.NONE);
    List<Mends.MendWanted> certain =
        certain(read, Compared.of(read.states().values(), read.said())).toList();
    if (certain.size() != seen) {
      throw Refusal.conflict(
          "changed-since", "%d are certain by now; look at them again.".formatted(certain.size()));
    }
    return certain;
  }

  /** Which annotations a file carries. */
  public enum Said {
    NONE,
    AGREED,
    ALL;

    /** {@code none}, {@code agreed}, {@code all} or empty, which is all. */
    static Said named(String word) {
      if (word.isEmpty()) {
        return ALL;
      }
      return Arrays.stream(values())
          .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(word))
          .findFirst()
          .orElseThrow(
              () ->
                  Refusal.unusable(
                      "annotations", "A file carries none, agreed or all annotations."));
    }
  }

  /** Refuses what names no annotations of a file. */
  public static void requireSaid(String annotated) {
    Said.named(annotated);
  }

  /** All of a folder's bibliography, to be written as a file. */
  public BibliographyFile file(Member who, String folder, StyleChoice asked, String annotated) {
    Read read = read(who, folder, asked);
    return file(read, entries(read, Said.named(annotated)), calendar.today(who.zoneId()));
  }

  /**
   * What whoever has a folder's address reads of it: citations, and what is agreed below them where
   * that was opened, too.
   *
   * @param group row number
   * @param cites what that group cites in
   */
  public BibliographyFile opened(
      int group,
      StyleChoice cites,
      FolderReading.FolderWorks works,
      boolean annotated,
      LocalDate today) {
    Read read = read(group, works, settings.of(cites, works.folder(), StyleChoice.NONE));
    return file(read, entries(read, annotated ? Said.AGREED : Said.NONE), today);
  }

  /**
   * An entry as it leaves.
   *
   * @param work row number
   * @param chapter below which heading it stands; empty for none
   */
  public record LeavingEntry(
      int work, String chapter, List<Block> blocks, List<BibliographyFile.Annotation> below) {}

  /** A folder's bibliography to be sent, entry by entry and as a file. */
  public record LeavingBibliography(List<LeavingEntry> entries, BibliographyFile file) {}

  /** What prints something, in its order, and the same as a file. */
  public LeavingBibliography leaving(Member who, String folder, String annotated) {
    Read read = read(who, folder, StyleChoice.NONE);
    List<LeavingEntry> entries = entries(read, Said.named(annotated));
    return new LeavingBibliography(entries, file(read, entries, calendar.today(who.zoneId())));
  }

  private List<LeavingEntry> entries(Read read, Said wanted) {
    Map<Integer, BelowEntries.Below> below = wanted == Said.NONE ? Map.of() : below(read);
    return read.whole().entries().stream()
        .filter(entry -> !entry.blocks().isEmpty())
        .map(
            entry ->
                new LeavingEntry(
                    read.id(entry),
                    entry.chapter(),
                    entry.blocks(),
                    below(below.getOrDefault(read.id(entry), BelowEntries.Below.NOTHING), wanted)))
        .toList();
  }

  private BibliographyFile file(Read read, List<LeavingEntry> entries, LocalDate today) {
    List<BibliographyFile.Part> parts = new ArrayList<>();
    String chapter = "";
    for (LeavingEntry entry : entries) {
      if (!entry.chapter().equals(chapter)) {
        chapter = entry.chapter();
        parts.add(new BibliographyFile.Heading(chapter));
      }
      parts.add(new BibliographyFile.Entry(entry.blocks()));
      parts.addAll(entry.below());
    }
    String order =
        read.whole().sorted() ? "in the order of the style" : "in the order of the folder";
    return new BibliographyFile(
        read.works().name(),
        "%s, %s. %s.".formatted(citing.style(read.how().choice().style()).title(), order, today),
        read.whole().layout(),
        parts);
  }

  /** Where all is carried, what is not agreed says so, and what nobody has read. */
  private static List<BibliographyFile.Annotation> below(BelowEntries.Below below, Said wanted) {
    List<BibliographyFile.Annotation> parts = new ArrayList<>();
    for (BelowEntries.QuotedShown one : below.quoted()) {
      parts.add(
          BibliographyFile.Annotation.plain(
              "Quoted through this: %s%s"
                  .formatted(
                      one.described(), one.read() || wanted != Said.ALL ? "" : " (not read)")));
    }
    BelowEntries.AnnotationBelow said = below.annotation();
    if (said == null || (wanted == Said.AGREED && !said.is(AnnotationState.AGREED))) {
      return parts;
    }
    if (!said.is(AnnotationState.AGREED)) {
      parts.add(BibliographyFile.Annotation.plain("[%s]".formatted(said.state())));
    }
    said.paragraphs().forEach(one -> parts.add(BibliographyFile.Annotation.of(one)));
    return parts;
  }
}
