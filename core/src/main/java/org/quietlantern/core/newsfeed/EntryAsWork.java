package org.quietlantern.core.newsfeed;

import com.rometools.rome.feed.module.DCModule;
import com.rometools.rome.feed.synd.SyndContent;
import com.rometools.rome.feed.synd.SyndEntry;
import com.rometools.rome.feed.synd.SyndPerson;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Date;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jdom2.Element;
import org.quietlantern.core.exchange.Supplied;
import org.quietlantern.core.publication.Cited;
import org.quietlantern.core.publication.Contributor;
import org.quietlantern.core.publication.Host;
import org.quietlantern.core.publication.Kind;
import org.quietlantern.core.publication.PartialDate;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.publication.Relations;
import org.quietlantern.core.publication.Studied;
import org.quietlantern.core.publication.Text;
import org.quietlantern.core.publication.VersionKind;

/**
 * What an entry says of a work: by Dublin Core and PRISM where it has them, else by what every
 * entry has.
 */
final class EntryAsWork {
  private static final String PRISM = "http://prismstandard.org/namespaces/";
  private static final int LONGEST_ID = 500;
  private static final int LONGEST_TITLE = 2_000;
  private static final int LONGEST_ABSTRACT = 20_000;
  private static final int MOST_PEOPLE = 500;
  private final SyndEntry entry;
  private final DCModule core;

  private EntryAsWork(SyndEntry entry) {
    this.entry = entry;
    this.core = (DCModule) entry.getModule(DCModule.URI);
  }

  /** {@code feed}: its title, which stands for a journal that no entry names. */
  static Optional<Newsfeed.Entry> of(SyndEntry entry, String feed) {
    String title = Text.atMost(LONGEST_TITLE, NewsfeedReader.words(entry.getTitle()));
    return title.isEmpty() ? Optional.empty() : Optional.of(new EntryAsWork(entry).as(title, feed));
  }

  /** An address on the web; whatever else stands there leads nowhere. */
  static Optional<String> webAddress(String address) {
    return Optional.ofNullable(address)
        .map(String::strip)
        .filter(link -> link.matches("(?i)https?://\\S{1,1000}"));
  }

  private Newsfeed.Entry as(String title, String feed) {
    String link = webAddress(entry.getLink()).orElse("");
    return new Newsfeed.Entry(id(title, link), link, work(title, link, feed));
  }

  /** Its own; else where it leads; else what it says. */
  private String id(String title, String link) {
    String own = Text.clean(Objects.toString(entry.getUri(), ""));
    boolean isOwn = !own.isEmpty() && !own.equals(entry.getLink());
    String id = isOwn ? own : !link.isEmpty() ? link : title;
    return Text.atMost(LONGEST_ID, id);
  }

  private Publication work(String title, String link, String feed) {
    List<Contributor> people = people();
    Optional<PartialDate> date = date();
    return new Publication(
        title,
        "",
        Kind.ARTICLE,
        VersionKind.of(Kind.ARTICLE),
        Contributor.authors(people),
        date,
        host(feed),
        core == null ? "" : Text.clean(Objects.toString(core.getPublisher(), "")),
        core == null ? "" : Supplied.language(Objects.toString(core.getLanguage(), "")),
        abstractText(),
        List.of(),
        List.of(),
        doi(link),
        Relations.NONE,
        0,
        false,
        Studied.NONE,
        Optional.empty(),
        Cited.UNKNOWN,
        date,
        List.of(),
        people,
        List.of());
  }

  /** One name in each element, or all in one. */
  private List<Contributor> people() {
    Stream<String> creators = core == null ? Stream.empty() : core.getCreators().stream();
    Stream<String> named = entry.getAuthors().stream().map(SyndPerson::getName);
    return Stream.concat(creators, named)
        .filter(Objects::nonNull)
        .map(NewsfeedReader::words)
        .filter(Predicate.not(String::isEmpty))
        .distinct()
        .flatMap(name -> EntryNames.of(name).stream())
        .distinct()
        .limit(MOST_PEOPLE)
        .toList();
  }

  private Host host(String feed) {
    String journal = prism("publicationName");
    return new Host(
        journal.isEmpty() ? feed : journal,
        Supplied.issn(prism("issn") + " " + prism("eIssn")),
        prism("volume"),
        prism("number"),
        prism("startingPage"),
        prism("endingPage"));
  }

  /** Of the work where that is said, else the day on which the entry was published. */
  private Optional<PartialDate> date() {
    return Stream.of(prism("publicationDate"), prism("coverDate"))
        .flatMap(text -> Supplied.date(text).stream())
        .findFirst()
        .or(() -> day(core == null ? null : core.getDate()))
        .or(() -> day(entry.getPublishedDate()))
        .or(() -> day(entry.getUpdatedDate()));
  }

  private static Optional<PartialDate> day(Date moment) {
    return Optional.ofNullable(moment)
        .map(at -> LocalDate.ofInstant(at.toInstant(), ZoneOffset.UTC))
        .flatMap(day -> PartialDate.read(day.toString()));
  }

  private String doi(String link) {
    Stream<String> identifiers = core == null ? Stream.empty() : core.getIdentifiers().stream();
    return Stream.of(
            Stream.of(prism("doi")),
            identifiers,
            Stream.of(Objects.toString(entry.getUri(), ""), link))
        .flatMap(texts -> texts)
        .map(Supplied::doi)
        .filter(Predicate.not(String::isEmpty))
        .findFirst()
        .orElse("");
  }

  private String abstractText() {
    Stream<SyndContent> described = Stream.ofNullable(entry.getDescription());
    return Stream.concat(described, entry.getContents().stream())
        .map(SyndContent::getValue)
        .map(NewsfeedReader::words)
        .filter(Predicate.not(String::isEmpty))
        .findFirst()
        .map(text -> Text.atMost(LONGEST_ABSTRACT, text))
        .orElse("");
  }

  /** Of any version of PRISM; empty where it is not said. */
  private String prism(String name) {
    return entry.getForeignMarkup().stream()
        .filter(one -> one.getName().equals(name) && one.getNamespaceURI().startsWith(PRISM))
        .map(Element::getText)
        .map(Text::clean)
        .filter(Predicate.not(String::isEmpty))
        .findFirst()
        .orElse("");
  }
}
