package org.quietlantern.server.reading;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.text.Belonging;
import org.quietlantern.core.text.TakenText;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Json;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.PublicIds;
import org.springframework.stereotype.Component;

/** Keeps texts: their files once, and which group has them of what. */
@Component
class TextStore {
  static final String FETCHED = "fetched";
  static final String BROUGHT_IN = "brought in";
  static final String DELIVERED = "delivered";
  static final int LARGEST = 40 << 20;

  /** Words of an abstract with what stands around it on its page; a text has more. */
  private static final int WORDS_OF_AN_ABSTRACT = 700;

  private final TextMapper mapper;
  private final TextWorker taking;
  private final PublicIds ids;
  private final Calendar calendar;
  private final Json json;

  /** A file that was looked at, not kept yet. */
  record Seen(byte[] content, byte[] hash, TakenText text) {}

  /**
   * What is said of a text besides its file.
   *
   * @param doubt what speaks against it; what a member is sure of is in no doubt
   */
  record Said(
      String version,
      String origin,
      @Nullable String address,
      String name,
      String licence,
      @Nullable String doubt) {}

  private record PageOut(int no, String label, String words) {}

  TextStore(TextMapper mapper, TextWorker taking, PublicIds ids, Calendar calendar, Json json) {
    this.mapper = mapper;
    this.taking = taking;
    this.ids = ids;
    this.calendar = calendar;
    this.json = json;
  }

  /** Takes out what is in a file; nothing is kept of it. Not to be called in a transaction. */
  Seen look(byte[] content) throws TakenText.Unreadable {
    TakenText.Form form =
        TakenText.Form.of(content)
            .orElseThrow(
                () -> new TakenText.Unreadable("The file is neither a PDF nor a page of the web."));
    return new Seen(content, Hash.of(content), taking.take(form, content));
  }

  /** What speaks against its being the text of a publication; null: nothing. */
  static @Nullable String doubt(TakenText text, Publication publication) {
    if (!text.hasWords()) {
      return null;
    }
    if (!Belonging.of(text, publication.title(), publication.doi())) {
      return "other work";
    }
    long words =
        text.pages().stream()
            .mapToLong(page -> Arrays.stream(page.text().split("\\s+")).count())
            .limit(10)
            .sum();
    return words < WORDS_OF_AN_ABSTRACT && text.pages().size() == 1 ? "abstract" : null;
  }

  /**
   * In the caller's transaction; answers the row number of the group's copy.
   *
   * @param membership who has it here
   */
  int keep(int group, int membership, StoredPublication of, Seen seen, Said said) {
    TakenText text = seen.text();
    TextMapper.NewFile file =
        new TextMapper.NewFile(
            seen.hash(),
            text.form().name().toLowerCase(Locale.ROOT),
            seen.content(),
            seen.content().length,
            text.title(),
            text.html(),
            json.write(text.parts()),
            text.hasWords());
    if (mapper.hold(seen.hash()) == null && mapper.addFile(file) > 0) {
      mapper.addPages(seen.hash(), json.write(pages(text)));
    }
    mapper.changed(group);
    return mapper.addCopy(
        new TextMapper.NewCopy(
            ids.next(),
            group,
            of.id(),
            seen.hash(),
            said.version(),
            said.origin(),
            said.address(),
            said.name(),
            said.licence(),
            said.doubt(),
            membership,
            calendar.now()));
  }

  private static List<PageOut> pages(TakenText text) {
    return IntStream.range(0, text.pages().size())
        .mapToObj(
            no -> {
              TakenText.Page page = text.pages().get(no);
              return new PageOut(no, page.label(), page.text());
            })
        .toList();
  }
}
