package org.quietlantern.server.loading;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.exchange.FiledRecord;
import org.quietlantern.core.exchange.RecordFile;
import org.quietlantern.server.harvest.SourceKeeping;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.SystemTime;
import org.quietlantern.server.platform.job.Job;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Reads files that were brought in, one after the other. */
@Component
class LoadJob implements Job {
  private static final Logger LOG = LoggerFactory.getLogger(LoadJob.class);

  /** Records, and letters, after which a page is taken. */
  private static final int PAGE = 500;

  private static final int PAGE_LETTERS = 4_000_000;

  private static final Duration TOLD = Duration.ofDays(90);

  /** A file that only another server has is that server's; after this time nobody has it. */
  private static final Duration LOST = Duration.ofHours(1);

  /** After which a file that no load names is of no use, and after which a beginning of one. */
  private static final Duration LEFT = Duration.ofMinutes(10);

  private static final Duration LEFT_HALF = Duration.ofDays(1);

  private final LoadMapper mapper;
  private final Loads loads;
  private final LoadSteps steps;
  private final SourceKeeping sources;
  private final SystemTime system;

  LoadJob(
      LoadMapper mapper, Loads loads, LoadSteps steps, SourceKeeping sources, SystemTime system) {
    this.mapper = mapper;
    this.loads = loads;
    this.steps = steps;
    this.sources = sources;
    this.system = system;
  }

  @Override
  public String name() {
    return "load";
  }

  @Override
  public Duration every() {
    return Duration.ofSeconds(2);
  }

  @Override
  public void run() {
    mapper.forget(system.now().minus(TOLD));
    List<LoadMapper.Open> open = mapper.open();
    sweep(open);
    for (LoadMapper.Open load : open) {
      Path file = loads.folder().resolve(load.file());
      if (Files.isRegularFile(file)) {
        if (mapper.start(load.id(), system.now()) > 0) {
          load(load, file);
        }
      } else if (load.asked().isBefore(system.now().minus(LOST))) {
        end(load, "broken", "The file is not there any more.");
      }
    }
  }

  private void load(LoadMapper.Open load, Path file) {
    if (read(load, file)) {
      try {
        Files.deleteIfExists(file);
      } catch (IOException busy) {
        LOG.warn("{} was read and cannot be deleted; it is swept later", file, busy);
      }
    }
  }

  /** Answers whether it has come to its end. */
  private boolean read(LoadMapper.Open load, Path file) {
    int source = sources.ofFiles(load.sourceName());
    try (InputStream bytes = Files.newInputStream(file);
        RecordFile records = new RecordFile(bytes)) {
      skip(records, load.records());
      for (List<FiledRecord> page = page(records); !page.isEmpty(); page = page(records)) {
        if (!steps.take(load.id(), source, page, records.bytesRead())) {
          LOG.info("{} was stopped", load.file());
          break;
        }
        if (Thread.currentThread().isInterrupted()) {
          LOG.info("{} goes on after the next start", load.file());
          return false;
        }
      }
      end(load, "done", null);
    } catch (RecordFile.Broken broken) {
      end(load, "broken", "%s. What came before that was taken.".formatted(broken.getMessage()));
    } catch (IOException unreadable) {
      LOG.warn("{} cannot be read and is tried again", load.file(), unreadable);
      return false;
    }
    return true;
  }

  private void end(LoadMapper.Open load, String state, @Nullable String error) {
    mapper.end(load.id(), state, error, system.now());
  }

  /** What was taken before the process ended. */
  private static void skip(RecordFile records, int many) throws IOException {
    for (int n = 0; n < many; n++) {
      records.next();
    }
  }

  /**
   * What is before a place that cannot be read is taken first: the next page meets it again. Empty
   * behind the last.
   */
  private static List<FiledRecord> page(RecordFile records) throws IOException {
    List<FiledRecord> page = new ArrayList<>();
    int letters = 0;
    while (page.size() < PAGE && letters < PAGE_LETTERS) {
      Optional<FiledRecord> record;
      try {
        record = records.next();
      } catch (RecordFile.Broken broken) {
        if (page.isEmpty()) {
          throw broken;
        }
        return page;
      }
      if (record.isEmpty()) {
        break;
      }
      page.add(record.get());
      letters += record.get().raw().length();
    }
    return page;
  }

  /** Files of loads that are over, and beginnings of files whose senders left. */
  private void sweep(List<LoadMapper.Open> open) {
    if (!Files.isDirectory(loads.folder())) {
      return;
    }
    Set<String> wanted = open.stream().map(LoadMapper.Open::file).collect(Collectors.toSet());
    try (Stream<Path> files = Files.list(loads.folder())) {
      for (Path file : files.toList()) {
        Duration left = file.toString().endsWith(".part") ? LEFT_HALF : LEFT;
        boolean old =
            Files.getLastModifiedTime(file).toInstant().isBefore(system.now().minus(left));
        if (old && !wanted.contains(file.getFileName().toString())) {
          Files.deleteIfExists(file);
        }
      }
    } catch (IOException busy) {
      LOG.warn("the folder {} cannot be swept", loads.folder(), busy);
    }
  }
}
