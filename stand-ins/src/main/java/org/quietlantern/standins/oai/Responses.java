package org.quietlantern.standins.oai;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.standins.corpus.Revision;

/** Answers of OAI-PMH 2.0 (openarchives.org, version 2.0 of 2002-06-14), without sets. */
final class Responses {
  static final int PAGE = 100;
  private static final Map<String, Set<String>> ARGUMENTS =
      Map.of(
          "Identify", Set.of(),
          "ListMetadataFormats", Set.of("identifier"),
          "ListSets", Set.of("resumptionToken"),
          "GetRecord", Set.of("identifier", "metadataPrefix"),
          "ListIdentifiers", Set.of("from", "until", "metadataPrefix", "set", "resumptionToken"),
          "ListRecords", Set.of("from", "until", "metadataPrefix", "set", "resumptionToken"));
  private final Records records;
  private final String address;

  Responses(Records records, String address) {
    this.records = records;
    this.address = address;
  }

  String answer(Map<String, String> arguments, Instant now) {
    String body;
    String attributes = "";
    try {
      body = body(arguments, now);
      attributes =
          arguments.entrySet().stream()
              .map(e -> " " + e.getKey() + "=\"" + Metadata.escape(e.getValue()) + "\"")
              .sorted()
              .collect(Collectors.joining());
    } catch (OaiError error) {
      body =
          "<error code=\"%s\">%s</error>"
              .formatted(error.code(), Metadata.escape(error.getMessage()));
    }
    return """
        <?xml version="1.0" encoding="UTF-8"?>
        <OAI-PMH xmlns="http://www.openarchives.org/OAI/2.0/"><responseDate>%s</responseDate>\
        <request%s>%s</request>%s</OAI-PMH>"""
        .formatted(now.truncatedTo(ChronoUnit.SECONDS), attributes, address, body);
  }

  private String body(Map<String, String> arguments, Instant now) {
    String verb = arguments.getOrDefault("verb", "");
    Set<String> known = ARGUMENTS.get(verb);
    if (known == null) {
      throw new OaiError("badVerb", "no such verb: " + verb);
    }
    for (String name : arguments.keySet()) {
      if (!name.equals("verb") && !known.contains(name)) {
        throw new OaiError("badArgument", "no such argument: " + name);
      }
    }
    return switch (verb) {
      case "Identify" -> identify();
      case "ListMetadataFormats" -> formats();
      case "GetRecord" -> get(arguments, now);
      case "ListSets" -> throw new OaiError("noSetHierarchy", "this source has no sets");
      default -> list(verb, arguments, now);
    };
  }

  private String identify() {
    return """
        <Identify><repositoryName>The Night Index</repositoryName><baseURL>%s</baseURL>\
        <protocolVersion>2.0</protocolVersion><adminEmail>desk@nightindex.example</adminEmail>\
        <earliestDatestamp>%s</earliestDatestamp><deletedRecord>persistent</deletedRecord>\
        <granularity>YYYY-MM-DDThh:mm:ssZ</granularity></Identify>"""
        .formatted(address, records.earliest());
  }

  private static String formats() {
    return """
        <ListMetadataFormats><metadataFormat><metadataPrefix>oai_dc</metadataPrefix>\
        <schema>http://www.openarchives.org/OAI/2.0/oai_dc.xsd</schema>\
        <metadataNamespace>http://www.openarchives.org/OAI/2.0/oai_dc/</metadataNamespace></metadataFormat>\
        <metadataFormat><metadataPrefix>mods</metadataPrefix>\
        <schema>http://www.loc.gov/standards/mods/v3/mods-3-8.xsd</schema>\
        <metadataNamespace>http://www.loc.gov/mods/v3</metadataNamespace></metadataFormat></ListMetadataFormats>""";
  }

  private String get(Map<String, String> arguments, Instant now) {
    String identifier = arguments.getOrDefault("identifier", "");
    String format = arguments.getOrDefault("metadataPrefix", "");
    if (identifier.isEmpty() || format.isEmpty()) {
      throw new OaiError("badArgument", "identifier and metadataPrefix are needed");
    }
    Revision revision =
        records
            .get(now, identifier)
            .orElseThrow(() -> new OaiError("idDoesNotExist", "no such record: " + identifier));
    return "<GetRecord>" + record(revision, format) + "</GetRecord>";
  }

  private String list(String verb, Map<String, String> arguments, Instant now) {
    if (arguments.containsKey("set")) {
      throw new OaiError("noSetHierarchy", "this source has no sets");
    }
    Query query = Query.of(arguments);
    List<Revision> rest = records.list(now, query).toList();
    if (rest.isEmpty()) {
      throw new OaiError("noRecordsMatch", "nothing in this range");
    }
    List<Revision> page = rest.subList(0, Math.min(PAGE, rest.size()));
    String shown =
        page.stream()
            .map(r -> verb.equals("ListRecords") ? record(r, query.format()) : header(r))
            .collect(Collectors.joining());
    return "<%s>%s%s</%s>".formatted(verb, shown, token(query, page, rest.size()), verb);
  }

  /** 3.5: a token where more is to come, an empty one on the last of several pages. */
  private static String token(Query query, List<Revision> page, int left) {
    if (left == page.size() && query.cursor() == 0) {
      return "";
    }
    Revision last = page.get(page.size() - 1);
    String next =
        left == page.size()
            ? ""
            : query.next(last.from(), last.work().number(), page.size()).token();
    return "<resumptionToken completeListSize=\"%d\" cursor=\"%d\">%s</resumptionToken>"
        .formatted(query.cursor() + left, query.cursor(), next);
  }

  private static String record(Revision revision, String format) {
    String metadata = Metadata.of(revision.work(), format);
    return "<record>%s%s</record>"
        .formatted(
            header(revision), revision.deleted() ? "" : "<metadata>" + metadata + "</metadata>");
  }

  private static String header(Revision revision) {
    return "<header%s><identifier>%s</identifier><datestamp>%s</datestamp></header>"
        .formatted(
            revision.deleted() ? " status=\"deleted\"" : "",
            Records.identifier(revision),
            revision.from());
  }
}
