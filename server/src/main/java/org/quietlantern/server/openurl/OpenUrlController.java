package org.quietlantern.server.openurl;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.SignedIn;
import org.quietlantern.server.request.CopyRequests;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Our resolver for OpenURLs (ANSI/NISO Z39.88-2004), as others name it: {@code /openurl?...}. */
@RestController
class OpenUrlController {
  private final Meant meant;
  private final CopyRequests requests;
  private final SignedIn signedIn;

  /** {@code described}: what stands behind the question mark of an OpenURL. */
  record DescribedCopy(String described, @Nullable String note) {}

  OpenUrlController(Meant meant, CopyRequests requests, SignedIn signedIn) {
    this.meant = meant;
    this.requests = requests;
    this.signedIn = signedIn;
  }

  /** Leads members to what is meant in their group, and others to what anybody may see of it. */
  @GetMapping("/openurl")
  ResponseEntity<Void> resolve(HttpServletRequest request) {
    String query = Optional.ofNullable(request.getQueryString()).orElse("");
    Optional<String> open =
        signedIn.account().isPresent() ? Optional.empty() : meant.sure(Viewer.NOBODY, query);
    String to = open.map(pid -> "/p/" + pid).orElseGet(() -> "/open/described?" + query);
    return ResponseEntity.status(HttpStatus.FOUND).header(HttpHeaders.LOCATION, to).build();
  }

  /** What an OpenURL means for the group. */
  @GetMapping("/api/groups/{group}/described")
  Meant.MeantShown meant(Member me, @RequestParam String described) {
    return meant.of(me, described);
  }

  /** Asks for a copy of what an OpenURL describes and is not in the catalogue. */
  @PostMapping("/api/groups/{group}/described/requests")
  CopyRequests.Asked ask(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody DescribedCopy body) {
    return requests.askDescribed(me, command, body.described(), body.note());
  }
}
