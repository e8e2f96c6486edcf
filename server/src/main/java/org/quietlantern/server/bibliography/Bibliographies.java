package org.quietlantern.server.bibliography;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.core.citation.csl.Block;
import org.quietlantern.core.citation.csl.EntryLayout;
import org.quietlantern.core.citation.csl.Item;
import org.quietlantern.core.citation.csl.Processor;
import org.quietlantern.core.citation.file.BibliographyFile;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.CitationsShown;
import org.quietlantern.server.citing.CitedPart;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.folder.FolderReading;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The bibliography of a folder: its works in a style and an order. */
@Service
public class Bibliographies implements CommandKinds {
  /** Entries that are given at once. */
  private static final int SHOWN = 200;

  /** Works that are read at once. */
  private static final int PAGE = 500;

  /** Entries that stay set, of all folders together. */
  private static final int KEPT = 20_000;

  private final CommandKind<BibliographySet, BibliographyMapper.SetRow> set =
      CommandKind.of(
          "bibliography.set", BibliographySet.class, BibliographyMapper.SetRow.class, this::back);

  private final Cache<State, Whole> wholes =
      Caffeine.newBuilder()
          .maximumWeight(KEPT)
          .weigher((State state, Whole whole) -> 1 + whole.entries().size())
          .build();

  private final BibliographyMapper mapper;
  private final FolderReading reading;
  private final Folders folders;
  private final Publications publications;
  private final Citing citing;
  private final Commands commands;
  private final Calendar calendar;

  /** How a bibliography is set; {@code style} empty for the group's. */
  public record BibliographySet(String folder, String style, String language, boolean byHand) {}

  /** What the entries of a bibliography depend on. */
  private record State(int group, List<String> works, List<Long> digests, How how) {}

  /** {@code own}: whether the folder has a style of its own. */
  private record How(StyleChoice choice, boolean own, boolean byHand) {}

  /** All entries as they are set. */
  private record Whole(List<OneEntry> entries, EntryLayout layout, boolean sorted) {}

  /** {@code blocks}: none where the style prints nothing of the work. */
  private record OneEntry(String publication, List<Block> blocks) {}

  Bibliographies(
      BibliographyMapper mapper,
      FolderReading reading,
      Folders folders,
      Publications publications,
      Citing citing,
      Commands commands,
      Calendar calendar) {
    this.mapper = mapper;
    this.reading = reading;
    this.folders = folders;
    this.publications = publications;
    this.citing = citing;
    this.commands = commands;
    this.calendar = calendar;
  }

  /**
   * Entries of a folder's bibliography.
   *
   * @param from the first of them, from 0
   * @param asked to be tried, instead of what is set; its parts may be empty
   */
  @Transactional(readOnly = true)
  public BibliographyShown view(Member who, String folder, int from, StyleChoice asked) {
    FolderReading.FolderWorks works = reading.works(who, folder);
    How how = how(who, works.folder(), asked);
    Whole whole = whole(who, works, how);
    List<OneEntry> all = whole.entries();
    int first = Math.min(Math.max(0, from), all.size());
    int end = Math.min(all.size(), first + SHOWN);
    return new BibliographyShown(
        folder,
        works.name(),
        works.may(),
        citing.style(how.choice().style()),
        how.own(),
        how.choice().language(),
        how.byHand(),
        whole.sorted(),
        Citing.missing(how.choice()),
        whole.layout(),
        works.ids().size(),
        all.stream().filter(one -> one.blocks().isEmpty()).map(OneEntry::publication).toList(),
        all.subList(first, end).stream()
            .map(
                one -> new CitationsShown.CitedEntry(one.publication(), CitedPart.of(one.blocks())))
            .toList(),
        end < all.size() ? end : null);
  }

  /** All of a folder's bibliography, to be written as a file. */
  @Transactional(readOnly = true)
  public BibliographyFile file(Member who, String folder, StyleChoice asked) {
    FolderReading.FolderWorks works = reading.works(who, folder);
    How how = how(who, works.folder(), asked);
    Whole whole = whole(who, works, how);
    List<BibliographyFile.Part> parts = new ArrayList<>();
    whole.entries().stream()
        .filter(one -> !one.blocks().isEmpty())
        .forEach(one -> parts.add(new BibliographyFile.Entry(one.blocks())));
    String order = whole.sorted() ? "in the order of the style" : "in the order of the folder";
    return new BibliographyFile(
        works.name(),
        "%s, %s. %s."
            .formatted(
                citing.style(how.choice().style()).title(), order, calendar.today(who.zoneId())),
        whole.layout(),
        parts);
  }

  private How how(Member who, int folder, StyleChoice asked) {
    Optional<BibliographyMapper.SetRow> row = Optional.ofNullable(mapper.find(folder));
    StyleChoice own =
        row.map(one -> new StyleChoice(one.style(), one.language()))
            .orElse(new StyleChoice("", ""));
    return new How(
        asked.or(own).or(citing.ofGroup(who)),
        !own.style().isEmpty(),
        row.map(BibliographyMapper.SetRow::byHand).orElse(false));
  }

  private Whole whole(Member who, FolderReading.FolderWorks works, How how) {
    State state = new State(who.group(), works.ids(), publications.digests(works.ids()), how);
    return wholes.get(state, s -> made(who, works.ids(), how));
  }

  private Whole made(Member who, List<String> ids, How how) {
    List<Item> items = new ArrayList<>();
    for (int from = 0; from < ids.size(); from += PAGE) {
      List<String> page = ids.subList(from, Math.min(ids.size(), from + PAGE));
      publications.byPid(Viewer.of(who), page).forEach(work -> items.add(Citing.item(work)));
    }
    Processor processor = Citing.processor(items, how.choice(), how.byHand());
    return new Whole(
        processor.bibliography().stream()
            .map(entry -> new OneEntry(entry.item(), entry.text().blocks()))
            .toList(),
        processor.entryLayout(),
        processor.sorts());
  }

  /** Sets style, language and order of a folder's bibliography for everybody. */
  public BibliographySet set(Member who, UUID command, BibliographySet wanted) {
    if (!wanted.style().isEmpty()) {
      Citing.require(new StyleChoice(wanted.style(), wanted.language()));
    }
    Citing.requireLanguage(wanted.language());
    return commands.run(
        who,
        command,
        set,
        () -> {
          int folder = folders.idToEdit(who, wanted.folder());
          BibliographyMapper.SetRow before = before(folder);
          mapper.set(
              new BibliographyMapper.SetRow(
                  folder, wanted.style(), wanted.language(), wanted.byHand()));
          return CommandResult.of(wanted, before)
              .changing(List.of("bibliography:" + wanted.folder()))
              .about(Subject.Of.FOLDER, List.of(wanted.folder()))
              .toldTo(folders.audience(who, wanted.folder()))
              .differing(Aspect.CITED_IN, title(who, before.style()), title(who, wanted.style()))
              .differing(Aspect.ORDER, order(before.byHand()), order(wanted.byHand()));
        });
  }

  private BibliographyMapper.SetRow before(int folder) {
    return Optional.ofNullable(mapper.find(folder))
        .orElse(new BibliographyMapper.SetRow(folder, "", "", false));
  }

  private String title(Member who, String style) {
    return citing.style(style.isEmpty() ? citing.ofGroup(who).style() : style).title();
  }

  private static String order(boolean byHand) {
    return byHand ? "by hand" : "of the style";
  }

  private @Nullable String back(BibliographyMapper.SetRow before) {
    mapper.set(before);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }
}
