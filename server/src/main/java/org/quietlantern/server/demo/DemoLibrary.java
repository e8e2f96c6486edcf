package org.quietlantern.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.holdings.GroupHoldings;
import org.quietlantern.server.holdings.KnownJournals;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Outbound;
import org.quietlantern.server.request.Lenders;
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
  private static final String LENDER = "Fjordside lending library";
  private static final String LENDS = "/lending/requests";
  private final LanternProperties properties;
  private final Outbound outbound;
  private final Vocabularies vocabularies;
  private final KnownJournals journals;
  private final GroupHoldings holdings;
  private final Groups groups;
  private final Lenders lenders;

  DemoLibrary(
      LanternProperties properties,
      Outbound outbound,
      Vocabularies vocabularies,
      KnownJournals journals,
      GroupHoldings holdings,
      Groups groups,
      Lenders lenders) {
    this.lenders = lenders;
    this.properties = properties;
    this.outbound = outbound;
    this.vocabularies = vocabularies;
    this.journals = journals;
    this.holdings = holdings;
    this.groups = groups;
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

  /** The first group's holdings; the second has none. */
  void giveHoldings() {
    groups.everybody().stream()
        .mapToInt(Member::group)
        .min()
        .ifPresent(group -> holdings.set(group, "ternhollow-holdings.txt", file("/holdings.txt")));
  }

  /** The library that lends to the first group; it may have moved since the demo ran last. */
  void sayWhoLends() {
    groups.everybody().stream()
        .mapToInt(Member::group)
        .min()
        .ifPresent(group -> lenders.moved(group, LENDER, properties.demo().outside() + LENDS));
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
