package org.quietlantern.server.link;

import java.net.URI;
import java.util.Optional;
import org.quietlantern.core.link.PublicId;
import org.quietlantern.server.catalogue.OpenAbstracts;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.web.SignedIn;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Stable links. {@code /p/ID} is open to anyone; the others lead members on and nobody else. */
@Controller
class LinkController {
  private final Publications publications;
  private final OpenAbstracts abstracts;
  private final Linked linked;
  private final Groups groups;
  private final SignedIn signedIn;
  private final PublicPage page;

  LinkController(
      Publications publications,
      OpenAbstracts abstracts,
      Linked linked,
      Groups groups,
      SignedIn signedIn,
      PublicPage page) {
    this.abstracts = abstracts;
    this.publications = publications;
    this.linked = linked;
    this.groups = groups;
    this.signedIn = signedIn;
    this.page = page;
  }

  @GetMapping("/p/{id}")
  ResponseEntity<String> publication(@PathVariable String id) {
    if (!(PublicId.read(id) instanceof PublicId.Reading.Sound sound)) {
      return html(HttpStatus.NOT_FOUND, page.mistyped(id));
    }
    String pid = sound.id().text();
    Optional<String> canonical = publications.canonicalOf(Viewer.NOBODY, pid);
    if (canonical.isPresent() || !pid.equals(id)) {
      return ResponseEntity.status(HttpStatus.MOVED_PERMANENTLY)
          .location(URI.create("/p/" + canonical.orElse(pid)))
          .build();
    }
    Optional<StoredPublication> found = publications.find(Viewer.NOBODY, pid);
    if (found.isEmpty()) {
      return html(HttpStatus.NOT_FOUND, page.unknown());
    }
    HttpStatus status = found.get().withdrawn() ? HttpStatus.GONE : HttpStatus.OK;
    return html(status, page.publication(found.get(), abstracts.mayShow(found.get())));
  }

  @GetMapping("/{kind:[fsqarn]}/{id}")
  ResponseEntity<String> forMembers(@PathVariable String kind, @PathVariable String id) {
    if (!(PublicId.read(id) instanceof PublicId.Reading.Sound sound)) {
      return html(HttpStatus.NOT_FOUND, page.mistyped(id));
    }
    String pid = sound.id().text();
    Optional<Member> member =
        linked
            .groupOf(kind, pid)
            .flatMap(group -> signedIn.account().flatMap(a -> groups.findMember(group, a)));
    return member
        .map(
            m ->
                ResponseEntity.status(HttpStatus.FOUND)
                    .location(URI.create("/g/" + m.groupPid() + "/" + kind + "/" + pid))
                    .<String>build())
        .orElseGet(() -> html(HttpStatus.NOT_FOUND, page.unknown()));
  }

  private static ResponseEntity<String> html(HttpStatus status, String text) {
    return ResponseEntity.status(status)
        .contentType(new MediaType("text", "html", java.nio.charset.StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noCache())
        .body(text);
  }
}
