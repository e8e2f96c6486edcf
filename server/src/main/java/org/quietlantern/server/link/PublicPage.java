package org.quietlantern.server.link;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.quietlantern.core.citation.PlainCitation;
import org.quietlantern.core.publication.PersonName;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;
import org.springframework.web.util.HtmlUtils;

/**
 * What anybody sees behind a stable link: the citation, and metadata for programs in the head
 * (Dublin Core in HTML, DCMI 2008-08-04). Nothing of any group.
 */
@Component
class PublicPage {
  private final String baseUrl;

  PublicPage(LanternProperties properties) {
    this.baseUrl = properties.baseUrl();
  }

  /** {@code withAbstract}: whether a source lets it be shown to anyone (rule K3). */
  String publication(StoredPublication stored, boolean withAbstract) {
    Publication publication = stored.publication();
    String address = baseUrl + "/p/" + stored.pid();
    String notice =
        stored.withdrawn()
            ? "<p class=\"notice\">Its source has withdrawn this record. The citation stays here so"
                + " that links to it keep their word.</p>"
            : "";
    notice += notices(publication);
    String body =
        """
        <h1>%s</h1>
        %s
        <p class="citation">%s</p>
        %s
        <dl><dt>Stable link</dt><dd><a href="%s">%s</a><br>Anyone can open it.</dd></dl>
        <p><a class="act" href="/open/p/%s">Open in my group</a></p>
        """
            .formatted(
                escape(publication.title()),
                notice,
                escape(PlainCitation.of(publication)),
                withAbstract ? abstractOf(publication) : "",
                address,
                address,
                stored.pid());
    return page(publication.title(), metadata(publication, address), body);
  }

  private static String notices(Publication publication) {
    return publication.relations().notices().stream()
        .map(
            notice ->
                "<p class=\"notice\">%s published on %s, doi:%s</p>"
                    .formatted(
                        escape(capital(notice.kind())),
                        escape(notice.date()),
                        escape(notice.doi())))
        .collect(Collectors.joining());
  }

  private static String capital(String word) {
    return word.isEmpty()
        ? "Notice"
        : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
  }

  private static String abstractOf(Publication publication) {
    return publication.abstractText().isEmpty()
        ? ""
        : "<p class=\"abstract\">" + escape(publication.abstractText()) + "</p>";
  }

  String mistyped(String typed) {
    return page(
        "Mistyped link",
        "",
        "<h1>This link is mistyped</h1><p>“%s” is not a link that Quiet Lantern ever gave out: a"
                .formatted(escape(typed))
            + " character is wrong, missing, or two are swapped. Copy it again from where it"
            + " came.</p>");
  }

  String unknown() {
    return page(
        "Nothing here",
        "",
        "<h1>There is nothing at this address</h1><p>Or it is only for members of a group:"
            + " <a class=\"act\" href=\"/\">sign in</a> and try again.</p>");
  }

  private static String metadata(Publication publication, String address) {
    List<String> tags = new ArrayList<>();
    tags.add("<link rel=\"schema.DC\" href=\"http://purl.org/dc/elements/1.1/\">");
    tags.add("<link rel=\"canonical\" href=\"" + escape(address) + "\">");
    meta(tags, "DC.title", publication.title());
    publication.authors().stream()
        .map(PersonName::sorted)
        .forEach(name -> meta(tags, "DC.creator", name));
    publication.date().ifPresent(date -> meta(tags, "DC.date", date.toString()));
    meta(tags, "DC.publisher", publication.publisher());
    meta(tags, "DC.language", publication.language());
    meta(tags, "DC.source", publication.host().title());
    if (!publication.doi().isEmpty()) {
      meta(tags, "DC.identifier", "doi:" + publication.doi());
    }
    return tags.stream().collect(Collectors.joining("\n"));
  }

  private static void meta(List<String> tags, String name, String content) {
    if (!content.isEmpty()) {
      tags.add("<meta name=\"%s\" content=\"%s\">".formatted(name, escape(content)));
    }
  }

  private static String page(String title, String head, String body) {
    return """
        <!doctype html>
        <html lang="en">
        <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <title>%s · Quiet Lantern</title>
        <link rel="icon" href="/lantern.svg">
        <link rel="stylesheet" href="/public.css">
        %s
        </head>
        <body>
        <header><a href="/"><img src="/lantern.svg" alt="" width="13" height="19">Quiet Lantern</a></header>
        <main>%s</main>
        </body>
        </html>
        """
        .formatted(escape(title), head, body);
  }

  private static String escape(String text) {
    return HtmlUtils.htmlEscape(text, "UTF-8");
  }
}
