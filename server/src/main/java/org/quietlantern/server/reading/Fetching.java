package org.quietlantern.server.reading;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import org.quietlantern.core.text.Licence;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.server.address.WayShown;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.request.DeliveredCopies;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Fetches open texts, and copies that libraries deliver, so that they are read here. */
@Service
public class Fetching implements DeliveredCopies {
  /** How long somebody waits in front of a page, whatever is tried meanwhile. */
  private static final Duration PATIENCE = Duration.ofSeconds(20);

  private static final int AT_ONCE = 4;
  private final Semaphore room = new Semaphore(AT_ONCE);
  private final GroupTexts texts;
  private final TextStore store;
  private final Publications publications;
  private final Outbound outbound;
  private final TransactionTemplate transactions;

  Fetching(
      GroupTexts texts,
      TextStore store,
      Publications publications,
      Outbound outbound,
      TransactionTemplate transactions) {
    this.texts = texts;
    this.store = store;
    this.publications = publications;
    this.outbound = outbound;
    this.transactions = transactions;
  }

  private record Found(TextStore.Seen seen, WayShown way, @Nullable String doubt) {}

  /**
   * Has the text of a publication here: the first of its open ways at whose end it is.
   *
   * @param address only there; null: wherever it is, unless the group has one already
   */
  public GroupTexts.TextsHere fetch(Member who, String pid, @Nullable String address) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    boolean isHere =
        texts.of(who, pid).copies().stream()
            .anyMatch(
                copy -> address == null ? copy.doubt() == null : address.equals(copy.address()));
    if (!isHere) {
      if (!room.tryAcquire()) {
        throw Refusal.busy("Other texts are being fetched; this one in a moment.");
      }
      try {
        Found found = find(texts.offered(who, stored), address, stored);
        transactions.execute(
            status -> store.keep(who.group(), who.id(), stored, found.seen(), said(found)));
      } finally {
        room.release();
      }
    }
    return texts.of(who, pid);
  }

  @Override
  public int keep(Delivered copy) throws IOException {
    StoredPublication stored = publications.ofAnybody(List.of(copy.publication())).get(0);
    TextStore.Seen seen =
        look(outbound.get(URI.create(copy.link()), PATIENCE, Fetching::whole).value());
    String doubt = TextStore.doubt(seen.text(), stored.publication());
    if (doubt != null && seen.text().form() == TakenText.Form.HTML) {
      throw new IOException("where the copy should be is a page about something else");
    }
    TextStore.Said said =
        new TextStore.Said(
            stored.publication().version().word(),
            TextStore.DELIVERED,
            copy.link(),
            nameIn(copy.link()),
            copy.licence(),
            doubt);
    return transactions.execute(
        status -> store.keep(copy.group(), copy.membership(), stored, seen, said));
  }

  private TextStore.Seen look(byte[] content) throws IOException {
    try {
      return store.look(content);
    } catch (TakenText.Unreadable why) {
      throw new IOException("the copy cannot be read here: " + why.getMessage(), why);
    }
  }

  private Found find(List<WayShown> ways, @Nullable String address, StoredPublication stored) {
    List<String> tried = new ArrayList<>();
    Optional<Found> doubtful = Optional.empty();
    long end = System.nanoTime() + PATIENCE.toNanos();
    for (WayShown way : ways) {
      Duration left = Duration.ofNanos(end - System.nanoTime());
      boolean isMeant = address == null || address.equals(way.address());
      if (!isMeant || left.isNegative()) {
        continue;
      }
      try {
        TextStore.Seen seen = store.look(body(way, left));
        Found found = new Found(seen, way, TextStore.doubt(seen.text(), stored.publication()));
        if (found.doubt() == null) {
          return found;
        }
        doubtful = doubtful.or(() -> Optional.of(found));
      } catch (IOException | TakenText.Unreadable why) {
        tried.add(URI.create(way.address()).getHost() + ": " + why.getMessage());
      }
    }
    return doubtful.orElseThrow(() -> none(tried));
  }

  private static Refusal none(List<String> tried) {
    String sentence =
        tried.isEmpty()
            ? "No open copy is known that could be read here."
            : "No text came from where it should be. " + String.join(" ", tried);
    return Refusal.conflict("no-text", sentence);
  }

  private byte[] body(WayShown way, Duration most) throws IOException {
    String address = way.movedTo() == null ? way.address() : way.movedTo();
    return outbound.get(URI.create(address), most, Fetching::whole).value();
  }

  private static byte[] whole(InputStream body) throws IOException {
    byte[] content = body.readNBytes(TextStore.LARGEST + 1);
    if (content.length > TextStore.LARGEST) {
      throw new IOException("the file is larger than 40 MB");
    }
    return content;
  }

  private static TextStore.Said said(Found found) {
    WayShown way = found.way();
    return new TextStore.Said(
        way.version(),
        TextStore.FETCHED,
        way.address(),
        nameIn(way.address()),
        Licence.OPEN,
        found.doubt());
  }

  private static String nameIn(String address) {
    String path = URI.create(address).getPath();
    return path.substring(path.lastIndexOf('/') + 1);
  }
}
