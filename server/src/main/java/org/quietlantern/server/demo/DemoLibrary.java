package org.quietlantern.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.GroupHoldings;
import org.quietlantern.server.holdings.KnownJournals;
import org.quietlantern.server.holdings.Lenders;
import org.quietlantern.server.holdings.Shelf;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.vocabulary.Vocabularies;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Brings in what a library would supply: terms, facts on journals, what the groups may read. */
@Component
@ConditionalOnProperty("lantern.demo.enabled")
class DemoLibrary {
  private static final Logger LOG = LoggerFactory.getLogger(DemoLibrary.class);
  private static final String COLLEGE = "Harrowfen college";
  private static final int LAST_KEPT_THERE = 1995;
  private static final String LENDS = "/lending/requests";
  private final LanternProperties properties;
  private final Outbound outbound;
  private final Vocabularies vocabularies;
  private final KnownJournals journals;
  private final GroupHoldings holdings;
  private final Groups groups;
  private final DemoMembers members;
  private final Lenders lenders;

  DemoLibrary(
      LanternProperties properties,
      Outbound outbound,
      Vocabularies vocabularies,
      KnownJournals journals,
      GroupHoldings holdings,
      Groups groups,
      DemoMembers members,
      Lenders lenders) {
    this.lenders = lenders;
    this.properties = properties;
    this.outbound = outbound;
    this.vocabularies = vocabularies;
    this.journals = journals;
    this.holdings = holdings;
    this.groups = groups;
    this.members = members;
  }

  /** Terms and journals, for the whole installation. */
  void takeIn() {
    terms("facets.ttl");
    terms("vocabulary.ttl");
    tell("journals.csv", journals.take(file("/journals.csv")));
  }

  private void terms(String name) {
    byte[] skos = file("/" + name).getBytes(StandardCharsets.UTF_8);
    Vocabularies.Looked looked = vocabularies.look(skos);
    vocabularies.take(looked);
    tell(name, looked.problems().stream().map(Object::toString).toList());
  }

  /** What the first group holds, and one of its members besides; the second has nothing. */
  void giveHoldings() {
    int group = first();
    holdings.set(group, Shelf.GROUP, "ternhollow-holdings.txt", file("/holdings.txt"));
    holdings.set(group, Shelf.PRINTED, "ternhollow-printed.txt", file("/printed.txt"));
    UUID command = UUID.nameUUIDFromBytes(COLLEGE.getBytes(StandardCharsets.UTF_8));
    holdings.take(members.named("Teodor"), Shelf.OWN, command, COLLEGE, file("/college.txt"));
  }

  /** The libraries that lend to the first group; one may have moved since the demo ran last. */
  void sayWhoLends() {
    lenders.moved(
        first(),
        List.of(
            new Lenders.LenderShown(
                "Harrowfen depository",
                "",
                List.of("book", "report", "chapter"),
                null,
                LAST_KEPT_THERE,
                "free, at the reading desk"),
            new Lenders.LenderShown(
                "Fjordside lending library",
                properties.demo().outside() + LENDS,
                List.of("article", "review", "chapter", "conference paper", "book", "report"),
                null,
                null,
                "")));
  }

  private int first() {
    return groups.everybody().stream().mapToInt(Member::group).min().orElseThrow();
  }

  private static void tell(String file, List<String> problems) {
    problems.forEach(problem -> LOG.warn("demo: {}: {}", file, problem));
  }

  private String file(String path) {
    try {
      URI address = URI.create(properties.demo().outside() + path);
      return outbound
          .get(address, body -> new String(body.readAllBytes(), StandardCharsets.UTF_8))
          .value();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }
}
