package org.quietlantern.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class AccountController {
  private static final String DEVICE = "lantern-device";
  private static final Duration KNOWN = Duration.ofDays(400);
  private final Accounts accounts;
  private final SignIns signIns;
  private final SessionAccount sessions;

  record SignIn(String email, String password) {}

  AccountController(Accounts accounts, SignIns signIns, SessionAccount sessions) {
    this.signIns = signIns;
    this.accounts = accounts;
    this.sessions = sessions;
  }

  /** Begins a visit. */
  @PostMapping("/session")
  ResponseEntity<Me> signIn(
      @RequestBody SignIn words,
      @CookieValue(name = DEVICE, required = false) String device,
      HttpServletRequest request) {
    SignIns.CameIn in =
        signIns.signIn(words.email(), words.password(), request.getRemoteAddr(), device);
    sessions.signIn(request, in.account());
    return ResponseEntity.ok()
        .header(HttpHeaders.SET_COOKIE, cookie(in.device(), request))
        .body(accounts.me(in.account()));
  }

  /** Sent to the place of signing in only, and never read by a script. */
  private static String cookie(String device, HttpServletRequest request) {
    return ResponseCookie.from(DEVICE, device)
        .path("/api/session")
        .maxAge(KNOWN)
        .httpOnly(true)
        .secure(request.isSecure())
        .sameSite("Lax")
        .build()
        .toString();
  }

  /** Ends the visit. */
  @DeleteMapping("/session")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void signOut(HttpServletRequest request) {
    sessions.signOut(request);
  }

  /** Who is signed in, and the groups they are in. */
  @GetMapping("/me")
  Me me() {
    return accounts.me(SessionAccount.current());
  }
}
