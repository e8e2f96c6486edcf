package org.quietlantern.server.bringing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.reference.CsvColumn;
import org.quietlantern.core.reference.Included;
import org.quietlantern.core.reference.ModsWriter;
import org.quietlantern.core.reference.ReadFile;
import org.quietlantern.core.reference.Reference;
import org.quietlantern.core.reference.ReferenceFiles;
import org.quietlantern.server.catalogue.OwnRecords;
import org.quietlantern.server.citing.BeforeLeaving;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.folder.Keeping;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.SourceKeeping;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Json;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Reads files into entries and compares each with what is here; the catalogue stays as it is. */
@Component
class BroughtReading {
  /** Entries that are compared, and written, together. */
  static final int PAGE = 500;

  /** Letters of their records, after which they are written together, too. */
  private static final int LETTERS = 4_000_000;

  /** Letters of a record that is taken: thousands of authors have room. */
  private static final int LONGEST_RECORD = 1_000_000;

  /** Problems of one file that are kept; that there are more is the last of them. */
  private static final int MOST_PROBLEMS = 10_000;

  /** Files of an archive have the numbers from a thousand times theirs on. */
  static final int PARTS = 1_000;

  /**
   * Bytes and entries of the beginning of a longer one that are looked at while its sender waits.
   */
  private static final int GLANCE = 300_000;

  private static final int GLANCED = 200;

  /** Up to so many bytes a file is read while its sender waits. */
  private static final int AT_ONCE = 1_000_000;

  private final BroughtMapper files;
  private final BroughtEntryMapper entries;
  private final OwnRecords own;
  private final SourceKeeping sources;
  private final BeforeLeaving beforeLeaving;
  private final Citing citing;
  private final TransactionTemplate transactions;
  private final Json json;
  private final Calendar calendar;

  BroughtReading(
      BroughtMapper files,
      BroughtEntryMapper entries,
      OwnRecords own,
      SourceKeeping sources,
      BeforeLeaving beforeLeaving,
      Citing citing,
      TransactionTemplate transactions,
      Json json,
      Calendar calendar) {
    this.files = files;
    this.entries = entries;
    this.own = own;
    this.sources = sources;
    this.beforeLeaving = beforeLeaving;
    this.citing = citing;
    this.transactions = transactions;
    this.json = json;
    this.calendar = calendar;
  }

  /** Reads a file; goes on behind what was read of it before, if it begins like that. */
  void read(Member who, int brought, int n) {
    BroughtMapper.Content content = files.content(brought, n);
    if (content != null) {
      new Reading(who, brought, n).read(content.content());
    }
  }

  /** Reads how a long file begins, so that whoever sent it can begin to look. */
  void glance(Member who, int brought, int n) {
    byte[] beginning = beginning(files.content(brought, n).content());
    if (beginning.length > 0 && !ReferenceFiles.isArchive(beginning)) {
      new Reading(who, brought, n).glance(beginning);
    }
  }

  /** Whole lines; none where letters have several bytes each, that could be parted. */
  private static byte[] beginning(byte[] content) {
    int end = Math.min(GLANCE, content.length);
    boolean wide = content.length > 1 && (content[0] & 0xff) >= 0xfe && (content[1] & 0xff) >= 0xfe;
    while (end > 0 && content[end - 1] != '\n') {
      end--;
    }
    return wide ? new byte[0] : Arrays.copyOf(content, end);
  }

  /** Whether a file is read while its sender waits: short, and no archive of who knows what. */
  static boolean isShort(byte[] content) {
    return content.length <= AT_ONCE && !ReferenceFiles.isArchive(content);
  }

  /** Says of a file that it could not be read, so that it is not tried for ever. */
  void broken(int brought, int n) {
    transactions.executeWithoutResult(
        status -> {
          String why = "The file could not be read; nothing of it is lost where it came from.";
          files.removeProblems(brought, n);
          files.addProblems(brought, json.write(List.of(new BroughtMapper.Problem(n, 0, why))));
          files.isRead(brought, n, true);
        });
  }

  /** One file while it is read. */
  private final class Reading {
    private final Member who;
    private final int brought;
    private final int n;
    private final int source;
    private final Twins twins = new Twins();
    private int last;

    /** What was read of the file before, and begins it. */
    private List<BroughtEntryMapper.There> there = List.of();

    Reading(Member who, int brought, int n) {
      this.who = who;
      this.brought = brought;
      this.n = n;
      this.source = sources.ofGroup(who);
    }

    private BroughtMapper.FileRow file() {
      return files.files(brought).stream().filter(f -> f.n() == n).findFirst().orElseThrow();
    }

    /** The last entry may go on behind the beginning. */
    void glance(byte[] beginning) {
      List<ReadFile.Found> found = recognised(file(), beginning).get(0).file().references();
      last = entries.last(brought);
      meetOthers();
      Page page = new Page(n, new ArrayList<>());
      found.subList(0, Math.min(GLANCED, Math.max(0, found.size() - 1))).forEach(page::add);
      page.write();
    }

    void read(byte[] content) {
      BroughtMapper.FileRow file = file();
      List<ReferenceFiles.Recognised> parts = recognised(file, content);
      boolean archive = parts.size() > 1 || !parts.get(0).name().equals(file.name());
      there = archive ? List.of() : goesOnBehind(parts.get(0).file().references());
      transactions.executeWithoutResult(
          status -> {
            files.removeParts(brought, n);
            files.removeProblems(brought, n);
            if (there.isEmpty()) {
              entries.removeOf(brought, n);
            }
          });
      last = entries.last(brought);
      meetOthers();
      for (int i = 0; i < parts.size(); i++) {
        int at = archive ? PARTS * (n + 1) + Math.min(i, PARTS - 1) : n;
        part(parts.get(i), at);
      }
      files.isRead(brought, n, true);
    }

    /** What was read of it before; nothing where that is not how it begins. */
    private List<BroughtEntryMapper.There> goesOnBehind(List<ReadFile.Found> found) {
      List<BroughtEntryMapper.There> before = entries.there(brought, n);
      ModsWriter mods = new ModsWriter(Included.ALL);
      for (int i = 0; i < before.size(); i++) {
        if (i == found.size()
            || !identifier(raw(mods, found.get(i))).equals(before.get(i).identifier())) {
          return List.of();
        }
      }
      return before;
    }

    /** As the member says what columns hold, or as the group knows it of a table like this. */
    private List<ReferenceFiles.Recognised> recognised(BroughtMapper.FileRow file, byte[] content) {
      Map<String, CsvColumn> said = Columns.read(json, file.columns());
      List<ReferenceFiles.Recognised> parts = ReferenceFiles.read(file.name(), content, said);
      if (!said.isEmpty()) {
        return parts;
      }
      Map<String, CsvColumn> known = new LinkedHashMap<>();
      for (ReferenceFiles.Recognised part : parts) {
        if (!part.columns().isEmpty()) {
          String columns = files.knownColumns(who.group(), heads(part));
          known.putAll(columns == null ? Map.of() : Columns.read(json, columns));
        }
      }
      return known.isEmpty() ? parts : ReferenceFiles.read(file.name(), content, known);
    }

    private void part(ReferenceFiles.Recognised part, int at) {
      List<BroughtMapper.Problem> problems = new ArrayList<>();
      part.file().problems().forEach(p -> problems.add(problem(at, p.line(), p.sentence())));
      transactions.executeWithoutResult(
          status ->
              files.readFile(
                  brought,
                  at,
                  Text.atMost(300, Text.clean(part.name())),
                  part.format(),
                  heads(part)));
      Page page = new Page(at, problems);
      List<ReadFile.Found> found = part.file().references();
      for (int i = 0; i < there.size(); i++) {
        reason(found.get(i), at, problems);
        BroughtEntryMapper.There known = there.get(i);
        twins.remember(
            new Twins.Earlier(known.n(), known.identifier(), found.get(i).reference().work()));
      }
      found.subList(there.size(), found.size()).forEach(page::add);
      page.write();
      transactions.executeWithoutResult(status -> addProblems(problems, at));
    }

    /** What comes in by other files of the same act may be the same. */
    private void meetOthers() {
      List<BroughtEntryMapper.Other> others;
      int after = 0;
      do {
        others = entries.others(brought, n, after, PAGE);
        for (BroughtEntryMapper.Other other : others) {
          after = other.n();
          if (RecordReader.read(other.record()) instanceof SuppliedRecord.Read read) {
            twins.remember(new Twins.Earlier(other.n(), other.identifier(), read.publication()));
          }
        }
      } while (others.size() == PAGE);
    }

    private void addProblems(List<BroughtMapper.Problem> problems, int at) {
      List<BroughtMapper.Problem> told = problems;
      if (problems.size() > MOST_PROBLEMS) {
        told = new ArrayList<>(problems.subList(0, MOST_PROBLEMS));
        String more = "And %,d more.".formatted(problems.size() - MOST_PROBLEMS);
        told.add(problem(at, 0, more));
      }
      if (!told.isEmpty()) {
        files.addProblems(brought, json.write(told));
      }
    }

    /** Entries on their way; compared and written when they are many, or long. */
    private final class Page {
      private final ModsWriter mods = new ModsWriter(Included.ALL);
      private final List<ReadFile.Found> found = new ArrayList<>();
      private final List<SourceRecord> records = new ArrayList<>();
      private final int at;
      private final List<BroughtMapper.Problem> problems;
      private int letters;

      Page(int at, List<BroughtMapper.Problem> problems) {
        this.at = at;
        this.problems = problems;
      }

      void add(ReadFile.Found one) {
        String raw = raw(mods, one);
        if (raw.length() > LONGEST_RECORD) {
          String why = "The entry is longer than %,d letters.".formatted(LONGEST_RECORD);
          problems.add(problem(at, one.line(), why));
          return;
        }
        found.add(one);
        records.add(record(raw));
        letters += raw.length();
        if (found.size() == PAGE || letters > LETTERS) {
          write();
        }
      }

      void write() {
        transactions.executeWithoutResult(status -> compare());
        found.clear();
        records.clear();
        letters = 0;
      }

      private void compare() {
        List<OwnRecords.Foreseen> foreseen = own.foresee(source, records);
        List<List<String>> faults =
            beforeLeaving.ofNew(
                citing.ofGroup(who), found.stream().map(f -> f.reference().work()).toList());
        List<BroughtEntryMapper.NewEntry> rows = new ArrayList<>();
        for (int i = 0; i < found.size(); i++) {
          rows.add(
              entry(found.get(i), at, records.get(i), foreseen.get(i), faults.get(i), problems));
        }
        entries.add(brought, json.write(rows));
      }
    }

    private SourceRecord record(String raw) {
      return new SourceRecord(
          identifier(raw), "mods", raw, calendar.today(who.zoneId()).toString(), false);
    }

    private BroughtEntryMapper.NewEntry entry(
        ReadFile.Found one,
        int at,
        SourceRecord record,
        OwnRecords.Foreseen foreseen,
        List<String> faults,
        List<BroughtMapper.Problem> problems) {
      Publication work = one.reference().work();
      String found = "new";
      String by = foreseen.key();
      Optional<Twins.Earlier> twin = twins.of(work, record.identifier());
      if (foreseen.work().isPresent()) {
        found = "here";
        by = foreseen.known() ? "record" : by;
      } else if (twin.isPresent()) {
        found = "twice";
        by = Integer.toString(twin.get().n());
      } else if (!foreseen.doubtful().isEmpty()) {
        found = "doubtful";
      }
      last++;
      twins.remember(new Twins.Earlier(last, record.identifier(), work));
      return new BroughtEntryMapper.NewEntry(
          last,
          at,
          one.line(),
          record.identifier(),
          record.raw(),
          json.write(BroughtViews.BesideShown.of(work)),
          reason(one, at, problems),
          found,
          by,
          foreseen.work().map(List::of).orElse(foreseen.doubtful()),
          faults);
    }

    private String reason(ReadFile.Found one, int at, List<BroughtMapper.Problem> problems) {
      List<String> said = new ArrayList<>(one.reference().notes());
      said.add(one.reference().annotation());
      said.removeIf(String::isBlank);
      String whole = Text.legal(String.join("\n", said)).strip();
      if (whole.length() > Keeping.LONGEST_NOTE) {
        String why =
            "Its note has %,d letters; %,d of them are kept."
                .formatted(whole.length(), Keeping.LONGEST_NOTE);
        problems.add(problem(at, one.line(), why));
      }
      return Text.atMost(Keeping.LONGEST_NOTE - 1, whole);
    }
  }

  private static String raw(ModsWriter mods, ReadFile.Found one) {
    return mods.entry(Reference.of("", one.reference().work(), ""));
  }

  /** Of a record, by what is in it. */
  private static String identifier(String raw) {
    return "ref:" + HexFormat.of().formatHex(Hash.of(raw), 0, 16);
  }

  /** What a file says may hold what no database can. */
  private static String[] heads(ReferenceFiles.Recognised part) {
    return part.columns().keySet().stream().map(Text::legal).toArray(String[]::new);
  }

  private static BroughtMapper.Problem problem(int file, int line, String sentence) {
    return new BroughtMapper.Problem(file, line, Text.legal(sentence));
  }
}
