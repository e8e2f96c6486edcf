package org.quietlantern.server.search;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.core.query.Field;
import org.quietlantern.core.query.Span;
import org.quietlantern.core.query.Strategy;
import org.quietlantern.core.search.Highlighter;
import org.quietlantern.core.text.Excerpt;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.citing.CitationsShown;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.matching.Matching;
import org.quietlantern.server.matching.Summaries;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.reading.GroupTexts;
import org.quietlantern.server.review.CurrentMark;
import org.quietlantern.server.review.Readings;
import org.quietlantern.server.review.Reviews;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks up what a leaf shows. */
@Service
@Transactional(readOnly = true)
public class Leaves {
  private final Publications publications;
  private final Matching matching;
  private final Reviews reviews;
  private final Readings readings;
  private final Folders folders;
  private final Groups groups;
  private final Summaries summaries;
  private final GroupTexts texts;
  private final Citing citing;
  private final LanternProperties properties;

  Leaves(
      Publications publications,
      Matching matching,
      Reviews reviews,
      Readings readings,
      Folders folders,
      Groups groups,
      Summaries summaries,
      GroupTexts texts,
      Citing citing,
      LanternProperties properties) {
    this.citing = citing;
    this.texts = texts;
    this.publications = publications;
    this.matching = matching;
    this.reviews = reviews;
    this.readings = readings;
    this.folders = folders;
    this.groups = groups;
    this.summaries = summaries;
    this.properties = properties;
  }

  /** {@code strategy}: the search that led to it, if one did. */
  public Leaf get(Member who, String pid, Optional<Strategy> strategy) {
    StoredPublication stored = publications.get(Viewer.of(who), pid);
    folders.requireSeen(who, stored.id());
    Publication publication = stored.publication();
    List<CurrentMark> said =
        who.onlyFolders()
            ? List.of()
            : reviews
                .onPublications(who, List.of(stored.id()))
                .getOrDefault(stored.id(), List.of());
    Map<Integer, Member> members =
        groups.members(who.group()).stream().collect(Collectors.toMap(Member::id, m -> m));
    Optional<Highlighter> highlighter = strategy.map(s -> matching.highlighter(who, s));
    List<Leaf.WhyShown> why = why(who, strategy, stored);
    CitationsShown cited = citing.one(who, stored);
    return new Leaf(
        summaries.of(who, stored),
        publication.authors().stream().map(PersonName::spoken).toList(),
        Leaf.HostShown.of(publication.host()),
        publication.publisher(),
        publication.doi(),
        publication.language(),
        publication.abstractText(),
        publication.headings().stream().map(Leaf.HeadingShown::of).toList(),
        publication.keywords(),
        cited.alone(),
        cited,
        properties.stableLink(stored.pid()),
        publication.relations().notices().stream().map(Leaf.NoticeShown::of).toList(),
        CurrentMark.lampOf(who.id(), said).word(),
        folders.holding(who, List.of(stored.id())).getOrDefault(stored.id(), List.of()),
        lit(highlighter, Field.TITLE, publication.title()),
        lit(highlighter, Field.ABSTRACT, publication.abstractText()),
        why,
        highlighter.flatMap(lit -> inside(who, stored, lit, why)).orElse(null),
        said(said, members),
        who.onlyFolders() ? List.of() : readings.of(who, stored, members),
        publication.contributors().stream().map(Leaf.PersonShown::of).toList(),
        numbers(publication),
        publication.issued().map(Object::toString).orElse(null),
        folders.mayRemark(who, stored.id()));
  }

  private Optional<Leaf.InsideShown> inside(
      Member who, StoredPublication stored, Highlighter lit, List<Leaf.WhyShown> why) {
    if (why.stream().noneMatch(reason -> reason.fields().contains(Field.TEXT.word()))) {
      return Optional.empty();
    }
    List<GroupTexts.WrittenPage> pages = texts.pages(who, stored);
    return Excerpt.of(pages.stream().map(GroupTexts.WrittenPage::words).toList(), lit::litInside)
        .map(
            found ->
                new Leaf.InsideShown(pages.get(found.page()).label(), found.text(), found.spans()));
  }

  private List<Leaf.NumberShown> numbers(Publication publication) {
    String doi = publication.doi();
    Stream<Leaf.NumberShown> first =
        doi.isEmpty()
            ? Stream.empty()
            : Stream.of(new Leaf.NumberShown("doi", doi, properties.resolver() + doi));
    return Stream.concat(
            first,
            publication.identifiers().stream()
                .map(number -> new Leaf.NumberShown(number.scheme(), number.value(), null)))
        .toList();
  }

  private static List<Span> lit(Optional<Highlighter> highlighter, Field field, String text) {
    return highlighter.map(l -> l.lit(field, text)).orElse(List.of());
  }

  private List<Leaf.WhyShown> why(
      Member who, Optional<Strategy> strategy, StoredPublication stored) {
    return strategy.map(s -> matching.why(who, s, stored.id())).orElse(List.of()).stream()
        .map(
            w ->
                new Leaf.WhyShown(
                    w.line(), w.typed(), w.fields().stream().map(Field::word).toList()))
        .toList();
  }

  private static List<Leaf.SaidShown> said(List<CurrentMark> said, Map<Integer, Member> members) {
    return said.stream()
        .filter(s -> members.containsKey(s.member()))
        .map(
            s ->
                new Leaf.SaidShown(
                    members.get(s.member()).pid(),
                    members.get(s.member()).name(),
                    s.mark().lamp().word(),
                    s.mark().word(),
                    s.reason(),
                    s.at()))
        .toList();
  }
}
