package org.quietlantern.server.harvest;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Nullable;

/**
 * The pages of one harvest, one after the other. Puts up with what sources do: tokens that they no
 * longer know, formats that they do not have, dates that they take to the day only. Repeated pages
 * are harmless; a source that goes round in a circle, or on and on without news, is left.
 */
final class HarvestRun {
  /** How often it may begin again before it gives up. */
  private static final int FRESH_STARTS = 3;

  /** How many pages one after the other may be empty, or such as came before. */
  private static final int PAGES_WITHOUT_NEWS = 20;

  private static final int LENGTH_OF_A_DAY = "2026-11-25".length();

  /** Asks for a page. */
  interface Asking {
    OaiPage ask(Address address) throws IOException;
  }

  /** Where a page is, and in which format its records are. */
  record Address(URI uri, String format) {}

  /**
   * Where a harvest begins.
   *
   * @param set the part that is asked for; empty: all
   * @param token of the page to go on with
   */
  record Place(String format, String set, @Nullable String from, Optional<String> token) {}

  private final Asking asking;
  private final URI base;
  private final Set<ByteBuffer> tokens = new HashSet<>();
  private final Set<Integer> pages = new HashSet<>();
  private int withoutNews;
  private final String set;
  private String format;
  private @Nullable String from;
  private Optional<String> token;
  private boolean ended;
  private int freshStarts;
  private boolean startedOver;

  HarvestRun(Asking asking, URI base, Place place) {
    this.asking = asking;
    this.base = base;
    this.format = place.format();
    this.set = place.set();
    this.from = place.from();
    this.token = place.token();
  }

  /** In which format the source turned out to supply. */
  String format() {
    return format;
  }

  /** Whether the last page is the first one of a fresh start. */
  boolean startedOver() {
    return startedOver;
  }

  /** The next page; null behind the last. */
  @Nullable
  OaiPage next() throws IOException {
    startedOver = false;
    while (!ended) {
      OaiPage page = asking.ask(new Address(address(), format));
      if (page.error().isPresent() && !page.saysNothing()) {
        mend(page.error().get());
        continue;
      }
      if (page.saysNothing() && !set.isEmpty() && token.isEmpty()) {
        requireSet();
      }
      if (page.token().isPresent() && !tokens.add(ByteBuffer.wrap(Hash.of(page.token().get())))) {
        throw new IOException("the source goes round in a circle at " + page.token().get());
      }
      withoutNews = isNews(page) ? 0 : withoutNews + 1;
      if (withoutNews > PAGES_WITHOUT_NEWS) {
        throw new IOException(
            "the source goes on and on: %d pages brought nothing new".formatted(withoutNews));
      }
      token = page.token();
      ended = token.isEmpty();
      return page;
    }
    return null;
  }

  /** Servers say the same of a set without news and of one that they do not have any more. */
  private void requireSet() throws IOException {
    String whole = "metadataPrefix=" + format + "&set=" + encoded(set);
    URI asked = URI.create(base + "?verb=ListIdentifiers&" + whole);
    if (from == null || asking.ask(new Address(asked, format)).saysNothing()) {
      throw new IOException("the set " + set + " has no records, or is not there any more");
    }
  }

  private boolean isNews(OaiPage page) {
    boolean isEmpty = page.records().isEmpty() && page.setAside().isEmpty();
    return !isEmpty && pages.add(Objects.hash(page.records(), page.setAside()));
  }

  /** Deals with an error condition (OAI-PMH 2.0, 3.6), or throws what cannot be helped. */
  private void mend(String error) throws IOException {
    if (++freshStarts > FRESH_STARTS) {
      throw new IOException("the source refuses, however often it is asked: " + error);
    }
    if (error.equals("badResumptionToken") && token.isPresent()) {
      token = Optional.empty();
    } else if (error.equals("cannotDisseminateFormat") && !format.equals("oai_dc")) {
      format = "oai_dc";
    } else if (error.equals("badArgument") && from != null && from.length() > LENGTH_OF_A_DAY) {
      from = from.substring(0, LENGTH_OF_A_DAY);
    } else {
      throw new IOException("the source refuses: " + error);
    }
    startedOver = true;
    tokens.clear();
    pages.clear();
    withoutNews = 0;
  }

  private URI address() {
    String query =
        token
            .map(t -> "resumptionToken=" + encoded(t))
            .orElse(
                "metadataPrefix="
                    + format
                    + (set.isEmpty() ? "" : "&set=" + encoded(set))
                    + (from == null ? "" : "&from=" + encoded(from)));
    return URI.create(base + "?verb=ListRecords&" + query);
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
