package org.quietlantern.standins.oai;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.host.TextPlaces;
import org.quietlantern.standins.supply.Revision;
import org.quietlantern.standins.supply.Source;
import org.quietlantern.standins.words.XmlText;

/** Answers of OAI-PMH 2.0 (openarchives.org, version 2.0 of 2002-06-14), without sets. */
final class Responses {
  private static final Map<String, Set<String>> ARGUMENTS =
      Map.of(
          "Identify", Set.of(),
          "ListMetadataFormats", Set.of("identifier"),
          "ListSets", Set.of("resumptionToken"),
          "GetRecord", Set.of("identifier", "metadataPrefix"),
          "ListIdentifiers", Set.of("from", "until", "metadataPrefix", "set", "resumptionToken"),
          "ListRecords", Set.of("from", "until", "metadataPrefix", "set", "resumptionToken"));
  private final Literature literature;
  private final Source source;
  private final Records records;
  private final Faults faults;
  private final String address;

  private final TextPlaces places;

  Responses(
      Literature literature, Source source, Faults faults, String address, TextPlaces places) {
    this.places = places;
    this.literature = literature;
    this.source = source;
    this.records = new Records(source);
    this.faults = faults;
    this.address = address;
  }

  String answer(Map<String, String> arguments, Instant now) {
    String body;
    String attributes = "";
    try {
      body = body(arguments, now);
      attributes =
          arguments.entrySet().stream()
              .map(e -> " " + e.getKey() + "=\"" + XmlText.escape(e.getValue()) + "\"")
              .sorted()
              .collect(Collectors.joining());
    } catch (OaiError error) {
      body =
          "<error code=\"%s\">%s</error>"
              .formatted(error.code(), XmlText.escape(error.getMessage()));
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
        <Identify><repositoryName>%s</repositoryName><baseURL>%s</baseURL>\
        <protocolVersion>2.0</protocolVersion><adminEmail>%s</adminEmail>\
        <earliestDatestamp>%s</earliestDatestamp><deletedRecord>%s</deletedRecord>\
        <granularity>YYYY-MM-DDThh:mm:ssZ</granularity></Identify>"""
        .formatted(
            source.name(), address, source.adminEmail(), records.earliest(), source.deletions());
  }

  private String formats() {
    return source.formats().stream()
        .map(Responses::format)
        .collect(Collectors.joining("", "<ListMetadataFormats>", "</ListMetadataFormats>"));
  }

  private static String format(String prefix) {
    if (prefix.equals("mods")) {
      return """
          <metadataFormat><metadataPrefix>mods</metadataPrefix>\
          <schema>http://www.loc.gov/standards/mods/v3/mods-3-8.xsd</schema>\
          <metadataNamespace>http://www.loc.gov/mods/v3</metadataNamespace></metadataFormat>""";
    }
    return """
        <metadataFormat><metadataPrefix>oai_dc</metadataPrefix>\
        <schema>http://www.openarchives.org/OAI/2.0/oai_dc.xsd</schema>\
        <metadataNamespace>http://www.openarchives.org/OAI/2.0/oai_dc/</metadataNamespace></metadataFormat>""";
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
    if (faults.isForgetful() && arguments.containsKey("resumptionToken")) {
      throw new OaiError("badResumptionToken", "the token is no longer known");
    }
    Query query = Query.of(arguments);
    if (!source.formats().contains(query.format())) {
      throw new OaiError("cannotDisseminateFormat", "no such format: " + query.format());
    }
    List<Revision> rest = records.list(now, query);
    if (rest.isEmpty()) {
      throw new OaiError("noRecordsMatch", "nothing in this range");
    }
    List<Revision> page = rest.subList(0, Math.min(source.page(), rest.size()));
    String shown =
        page.stream()
            .map(r -> verb.equals("ListRecords") ? record(r, query.format()) : header(r))
            .collect(Collectors.joining());
    String token = token(query, page, rest.size());
    if (faults.isRepeating(now) && !query.isRepeated()) {
      token = "<resumptionToken>" + query.repeated().token() + "</resumptionToken>";
    }
    return "<%s>%s%s</%s>".formatted(verb, shown, token, verb);
  }

  /** 3.5: a token where more is to come, an empty one on the last of several pages. */
  private static String token(Query query, List<Revision> page, int left) {
    if (left == page.size() && query.cursor() == 0) {
      return "";
    }
    Revision last = page.get(page.size() - 1);
    String next =
        left == page.size() ? "" : query.next(last.from(), last.identifier(), page.size()).token();
    return "<resumptionToken completeListSize=\"%d\" cursor=\"%d\">%s</resumptionToken>"
        .formatted(query.cursor() + left, query.cursor(), next);
  }

  private String record(Revision revision, String format) {
    String metadata =
        switch (format) {
          case "mods" -> ModsWriter.write(literature, revision.entry(), places);
          case "oai_dc" -> DublinCoreWriter.write(revision.entry(), places);
          default -> throw new OaiError("cannotDisseminateFormat", "no such format: " + format);
        };
    return "<record>%s%s</record>"
        .formatted(
            header(revision), revision.deleted() ? "" : "<metadata>" + metadata + "</metadata>");
  }

  private static String header(Revision revision) {
    return "<header%s><identifier>%s</identifier><datestamp>%s</datestamp></header>"
        .formatted(
            revision.deleted() ? " status=\"deleted\"" : "",
            revision.identifier(),
            revision.from());
  }
}
