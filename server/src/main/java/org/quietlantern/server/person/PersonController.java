package org.quietlantern.server.person;

import jakarta.servlet.http.HttpServletRequest;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.web.Attachment;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

@RestController
@RequestMapping("/api/me")
class PersonController {
  private final Personal personal;
  private final Erasing erasing;

  record ErasingWords(@Nullable String password) {}

  PersonController(Personal personal, Erasing erasing) {
    this.personal = personal;
    this.erasing = erasing;
  }

  /** Everything about oneself: JSON, and the texts that one brought in. */
  @GetMapping(value = "/data.zip", produces = "application/zip")
  ResponseEntity<StreamingResponseBody> data() {
    int account = SessionAccount.current();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, Attachment.disposition("about-me.zip"))
        .body(to -> personal.write(account, to));
  }

  /** Erases everything about oneself, for good; with the password. */
  @PostMapping("/erased")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void erase(@RequestBody ErasingWords words, HttpServletRequest request) {
    erasing.erase(SessionAccount.current(), words.password(), request.getRemoteAddr());
  }
}
