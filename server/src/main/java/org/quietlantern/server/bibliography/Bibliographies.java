package org.quietlantern.server.bibliography;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.quietlantern.core.citation.check.CitedField;
import org.quietlantern.core.citation.check.Fault;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.citing.CitedPart;
import org.quietlantern.server.citing.Citing;
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
  private final Compared compared;
  private final Readings readings;
  private final Citing citing;
  private final Calendar calendar;

  Bibliographies(
      BibliographySettings settings,
      EntriesMaking making,
      Folders folders,
      FolderReading reading,
      Publications publications,
      Mends mends,
      Compared compared,
      Readings readings,
      Citing citing,
      Calendar calendar) {
    this.settings = settings;
    this.making = making;
    this.folders = folders;
    this.reading = reading;
    this.publications = publications;
    this.mends = mends;
    this.compared = compared;
    this.readings = readings;
    this.citing = citing;
    this.calendar = calendar;
  }

  /** What one request knows of a folder's bibliography. */
  private record Read(
      FolderReading.FolderWorks works,
      BibliographySettings.How how,
      Map<String, Publications.State> states,
      Map<Integer, List<Mends.Mended>> mended,
      EntriesMaking.Whole whole) {}

  private Read read(Member who, String folder, StyleChoice asked) {
    FolderReading.FolderWorks works = reading.works(who, folder);
    BibliographySettings.How how = settings.of(who, works.folder(), asked);
    Map<String, Publications.State> states = publications.states(works.ids());
    Map<Integer, List<Mends.Mended>> mended =
        mends.of(who, states.values().stream().map(Publications.State::id).toList());
    return new Read(works, how, states, mended, making.of(who, works.ids(), states, mended, how));
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
    Map<Integer, Compared.CheckedBy> checked =
        compared.of(who, read.states().values(), read.mended());
    Collection<Integer> ids =
        page.stream().map(one -> read.states().get(one.publication()).id()).toList();
    Map<Integer, Readings.BestRead> best = readings.best(who, ids);
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
        all.stream()
            .filter(one -> one.blocks().isEmpty())
            .map(EntriesMaking.Entry::publication)
            .toList(),
        page.stream().map(one -> shown(one, read, checked, best)).toList(),
        end < all.size() ? end : null);
  }

  private static EntryOfFolder shown(
      EntriesMaking.Entry entry,
      Read read,
      Map<Integer, Compared.CheckedBy> checked,
      Map<Integer, Readings.BestRead> best) {
    int id = read.states().get(entry.publication()).id();
    return new EntryOfFolder(
        entry.publication(),
        CitedPart.of(entry.blocks()),
        entry.faults().stream().map(Bibliographies::shown).toList(),
        checked.get(id),
        Optional.ofNullable(best.get(id)).map(Readings.BestRead::extent).orElse(""));
  }

  private static EntryOfFolder.FaultShown shown(EntriesMaking.FaultFound found) {
    Fault fault = found.fault();
    return new EntryOfFolder.FaultShown(
        fault.kind().name().toLowerCase(Locale.ROOT).replace('_', ' '),
        fault.kind().words(),
        fault.sentence(),
        fault.field().map(CitedField::word).orElse(null),
        fault.field().map(CitedField::words).orElse(null),
        found.reads(),
        fault.mend(),
        fault.certain());
  }

  /** Those that nobody has compared with the work: where somebody did, it is right as it is. */
  private static Stream<EntriesMaking.Entry> open(
      Read read, Map<Integer, Compared.CheckedBy> checked) {
    return read.whole().entries().stream()
        .filter(one -> !checked.containsKey(read.states().get(one.publication()).id()));
  }

  private static Stream<Mends.MendWanted> certain(
      Read read, Map<Integer, Compared.CheckedBy> checked) {
    return open(read, checked)
        .flatMap(
            entry ->
                entry.faults().stream()
                    .filter(found -> found.fault().certain())
                    .map(
                        found ->
                            new Mends.MendWanted(
                                entry.publication(),
                                found.fault().field().orElseThrow().word(),
                                found.reads(),
                                found.fault().mend())));
  }

  /** Mends everything that is certain, as one act; refused where it is not as many as were seen. */
  @Transactional
  public Mends.MendsSet mendCertain(Member who, UUID command, String folder, int seen) {
    folders.idToEdit(who, folder);
    return mends.set(who, command, () -> certain(who, folder, seen));
  }

  private List<Mends.MendWanted> certain(Member who, String folder, int seen) {
    Read read = read(who, folder, new StyleChoice("", ""));
    List<Mends.MendWanted> certain =
        certain(read, compared.of(who, read.states().values(), read.mended())).toList();
    if (certain.size() != seen) {
      throw Refusal.conflict(
          "changed-since", "%d are certain by now; look at them again.".formatted(certain.size()));
    }
    return certain;
  }

  /** All of a folder's bibliography, to be written as a file. */
  public BibliographyFile file(Member who, String folder, StyleChoice asked) {
    Read read = read(who, folder, asked);
    List<BibliographyFile.Part> parts = new ArrayList<>();
    read.whole().entries().stream()
        .filter(one -> !one.blocks().isEmpty())
        .forEach(one -> parts.add(new BibliographyFile.Entry(one.blocks())));
    String order =
        read.whole().sorted() ? "in the order of the style" : "in the order of the folder";
    return new BibliographyFile(
        read.works().name(),
        "%s, %s. %s."
            .formatted(
                citing.style(read.how().choice().style()).title(),
                order,
                calendar.today(who.zoneId())),
        read.whole().layout(),
        parts);
  }
}
