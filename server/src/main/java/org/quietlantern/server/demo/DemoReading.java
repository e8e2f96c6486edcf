package org.quietlantern.server.demo;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.holdings.Access;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Ordering;
import org.quietlantern.core.text.Passage;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.margin.Noting;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.reading.Fetching;
import org.quietlantern.server.reading.GroupTexts;
import org.quietlantern.server.request.CopyRequests;
import org.quietlantern.server.review.Readings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** What the first made-up group reads in the last days of its past, notes, and asks copies of. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoReading {
  private static final Logger LOG = LoggerFactory.getLogger(DemoReading.class);
  private static final String CROSSINGS = "bat* and (road* or crossing*)";
  private static final int SENTENCE = 60;

  /** How far down the text a passage is looked for, in letters. */
  private static final int INTO = 1_500;

  private final DemoMembers members;
  private final Matching matching;
  private final Publications publications;
  private final Summaries summaries;
  private final Fetching fetching;
  private final GroupTexts texts;
  private final Noting noting;
  private final Readings readings;
  private final CopyRequests requests;

  DemoReading(
      DemoMembers members,
      Matching matching,
      Publications publications,
      Summaries summaries,
      Fetching fetching,
      GroupTexts texts,
      Noting noting,
      Readings readings,
      CopyRequests requests) {
    this.members = members;
    this.matching = matching;
    this.publications = publications;
    this.summaries = summaries;
    this.fetching = fetching;
    this.texts = texts;
    this.noting = noting;
    this.readings = readings;
    this.requests = requests;
  }

  /** {@code left}: days until the past ends. What cannot be done that day is left undone. */
  void live(long left) {
    try {
      switch ((int) left) {
        case 12 -> ask("Sefa", "bat*", ".*[0124568]", "the appendix with the site list would do");
        case 9 -> read();
        case 3 -> ask("Teodor", "lamp*", ".*3", "");
        case 1 -> ask("Ilse", "lamp*", ".*[0124568]", "for the county’s report");
        default -> {}
      }
    } catch (Refusal refused) {
      LOG.warn("demo: {}", refused.getMessage());
    }
  }

  private static UUID command(String... what) {
    return UUID.nameUUIDFromBytes(String.join("\n", what).getBytes(StandardCharsets.UTF_8));
  }

  private List<String> found(Member who, String line) {
    return matching.search(who, Strategy.of(line), Ordering.RELEVANCE, 0).ids();
  }

  /**
   * Asks for a copy of the first that is lent; {@code doi}: how its DOI is written, by which the
   * library decides.
   */
  private void ask(String given, String line, String doi, String note) {
    Member who = members.named(given);
    for (String publication : found(who, line)) {
      StoredPublication stored = publications.get(Viewer.of(who), publication);
      boolean isUsual =
          stored.publication().kind() == Kind.ARTICLE
              && !stored.publication().abstractText().isEmpty();
      boolean isLent = summaries.of(who, stored).access().equals(Access.REQUEST.word());
      if (isUsual && isLent && stored.publication().doi().matches(doi)) {
        requests.ask(who, command("demo asks", given), publication, note, null);
        return;
      }
    }
  }

  /** The first text that can be had, written at by one. */
  private void read() {
    Member teodor = members.named("Teodor");
    for (String publication : found(teodor, CROSSINGS)) {
      Optional<GroupTexts.CopyShown> copy = had(teodor, publication);
      if (copy.isPresent()) {
        String words = texts.words(teodor, copy.get().id()).get(0);
        String note =
            write(
                teodor,
                copy.get(),
                sentence(words, words.indexOf(" lux")),
                "question",
                "Same lamps as on our verge?");
        noting.remark(
            members.named("Ilse"), command("demo answers"), note, "Yes, the 3000 K ones of 2019.");
        write(teodor, copy.get(), sentence(words, INTO), "note", "For the introduction.");
        readings.say(teodor, command("demo read", "Teodor"), publication, "text");
        return;
      }
    }
  }

  private Optional<GroupTexts.CopyShown> had(Member who, String publication) {
    if (texts.of(who, publication).offered().stream().noneMatch(way -> way.use().equals("page"))) {
      return Optional.empty();
    }
    try {
      return fetching.fetch(who, publication, null).copies().stream()
          .filter(copy -> copy.doubt() == null && copy.form().equals("html"))
          .findFirst();
    } catch (Refusal notThere) {
      LOG.debug("demo: {}", notThere.getMessage());
      return Optional.empty();
    }
  }

  private String write(
      Member who, GroupTexts.CopyShown copy, Passage passage, String kind, String text) {
    return noting
        .write(
            who,
            command("demo writes", text),
            copy.publication(),
            new Noting.At(passage, "", copy.version()),
            new Noting.Saying(kind, text, true, false))
        .note();
  }

  /** The sentence of a text in which a letter stands; of one that is not there the first. */
  private static Passage sentence(String words, int letter) {
    int in = Math.max(0, Math.min(letter, words.length() / 2));
    int begin = words.lastIndexOf(". ", in) + 2;
    int end = words.indexOf(". ", Math.max(in, begin));
    String quote = words.substring(begin, end < 0 ? words.length() : end + 1);
    String before = words.substring(Math.max(0, begin - SENTENCE), begin);
    return new Passage(quote, before, "", 0, begin);
  }
}
