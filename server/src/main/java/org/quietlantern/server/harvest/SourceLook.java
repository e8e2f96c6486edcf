package org.quietlantern.server.harvest;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.exchange.RecordFormat;
import org.quietlantern.core.exchange.RecordReader;
import org.quietlantern.core.exchange.SuppliedRecord;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.SourceRecord;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Component;

/**
 * Looks at a source before it is one: what it says of itself, and how its records would be read.
 */
@Component
class SourceLook {
  private static final int PAGES_OF_SETS = 10;
  private static final int RECORDS = 20;
  private final Outbound outbound;

  /**
   * What is at an address.
   *
   * @param formats those that can be read here, the best first
   * @param otherFormats prefixes of the others that it speaks
   * @param moreSets whether it has more sets than are listed
   * @param deletes whether it tells what it took back: {@code no}, {@code transient}, {@code
   *     persistent}; empty if it does not say
   */
  record SourceLooked(
      String name,
      String earliest,
      String deletes,
      List<FormatOffered> formats,
      List<String> otherFormats,
      List<OaiDescription.SetNamed> sets,
      boolean moreSets) {}

  /**
   * A format that a source has and that can be read here.
   *
   * @param prefix by which it is asked for
   * @param spoken as people call it
   */
  record FormatOffered(String prefix, String spoken) {}

  /**
   * A record as it was supplied and as it would be read.
   *
   * @param title empty where it cannot be read
   * @param who authors as read
   * @param date as read, as far as it says
   * @param problems what is wrong with it, or why it cannot be read
   */
  record RecordTried(
      String identifier,
      String raw,
      String title,
      String who,
      @Nullable String date,
      String where,
      String doi,
      List<String> problems) {}

  SourceLook(Outbound outbound) {
    this.outbound = outbound;
  }

  SourceLooked look(String address) {
    URI base = base(address);
    OaiDescription identity = ask(base, "Identify");
    OaiDescription formats = ask(base, "ListMetadataFormats");
    List<OaiDescription.FormatNamed> readable =
        formats.formats().stream()
            .filter(f -> known(f).isPresent())
            .sorted(Comparator.comparing(f -> known(f).orElseThrow()))
            .toList();
    List<OaiDescription.SetNamed> sets = new ArrayList<>();
    boolean more = sets(base, sets);
    return new SourceLooked(
        identity.name(),
        identity.earliest(),
        identity.deletes(),
        readable.stream()
            .map(f -> new FormatOffered(f.prefix(), known(f).orElseThrow().spoken()))
            .toList(),
        formats.formats().stream()
            .filter(f -> !readable.contains(f))
            .map(OaiDescription.FormatNamed::prefix)
            .toList(),
        sets,
        more);
  }

  private static Optional<RecordFormat> known(OaiDescription.FormatNamed format) {
    return RecordFormat.offered(format.prefix(), format.namespace());
  }

  /**
   * Answers whether there are more than some pages of them; one without sets says so by an error.
   */
  private boolean sets(URI base, List<OaiDescription.SetNamed> sets) {
    OaiDescription page = ask(base, "ListSets");
    for (int n = 1; ; n++) {
      sets.addAll(page.sets());
      String token = page.token().orElse("");
      if (token.isEmpty() || n == PAGES_OF_SETS) {
        return !token.isEmpty();
      }
      page = ask(base, "ListSets&resumptionToken=" + encoded(token));
    }
  }

  /** The first records, in the order in which they come. */
  List<RecordTried> records(String address, String format, String set) {
    URI asked =
        URI.create(
            base(address)
                + "?verb=ListRecords&metadataPrefix="
                + encoded(format)
                + (set.isEmpty() ? "" : "&set=" + encoded(set)));
    OaiPage page = fetched(asked, body -> OaiReader.read(format, body));
    if (page.error().isPresent() && !page.saysNothing()) {
      throw unusable("The source refuses: " + page.error().get() + ".");
    }
    return page.records().stream()
        .filter(record -> !record.deleted())
        .limit(RECORDS)
        .map(SourceLook::tried)
        .toList();
  }

  private static RecordTried tried(SourceRecord record) {
    return tried(record.identifier(), record.raw());
  }

  /** As it would be read now; one that was taken back has nothing to read. */
  static RecordTried tried(String identifier, String raw) {
    if (raw.isEmpty()) {
      return new RecordTried(identifier, "", "", "", null, "", "", List.of());
    }
    SuppliedRecord read = RecordReader.read(raw);
    if (read instanceof SuppliedRecord.Read readable) {
      Publication publication = readable.publication();
      return new RecordTried(
          identifier,
          raw,
          publication.title(),
          String.join(", ", publication.authors().stream().map(a -> a.spoken()).toList()),
          publication.date().map(Object::toString).orElse(null),
          publication.where(),
          publication.doi(),
          readable.problems());
    }
    String reason = ((SuppliedRecord.Unreadable) read).reason();
    return new RecordTried(identifier, raw, "", "", null, "", "", List.of(reason));
  }

  private OaiDescription ask(URI base, String verb) {
    OaiDescription answer = fetched(URI.create(base + "?verb=" + verb), OaiDescription::read);
    if (!answer.answers()) {
      throw unusable("What is there does not speak OAI-PMH.");
    }
    return answer;
  }

  private <T> T fetched(URI address, Outbound.Reading<T> reading) {
    try {
      return outbound.get(address, reading).value();
    } catch (IOException failed) {
      throw unusable("Nothing could be read there: " + Harvests.sentence(failed) + ".");
    }
  }

  /** An address without what a request adds to it. */
  static URI base(@Nullable String address) {
    try {
      URI given = URI.create(address == null ? "" : address.strip());
      boolean web = "http".equals(given.getScheme()) || "https".equals(given.getScheme());
      if (web && given.getHost() != null && given.getUserInfo() == null) {
        return URI.create(given.toString().replaceAll("[?#].*", ""));
      }
    } catch (IllegalArgumentException none) {
      throw unusable("This is no address: https:// and what follows.");
    }
    throw unusable("This is no address: https:// and what follows.");
  }

  private static Refusal unusable(String sentence) {
    return Refusal.unusable("source", sentence);
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
