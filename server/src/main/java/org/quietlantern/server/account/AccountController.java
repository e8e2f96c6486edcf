package org.quietlantern.server.account;

import jakarta.servlet.http.HttpServletRequest;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.http.HttpStatus;
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
  private final Accounts accounts;
  private final SessionAccount sessions;

  record SignIn(String email, String password) {}

  AccountController(Accounts accounts, SessionAccount sessions) {
    this.accounts = accounts;
    this.sessions = sessions;
  }

  /** Begins a visit. */
  @PostMapping("/session")
  Me signIn(@RequestBody SignIn words, HttpServletRequest request) {
    int account = accounts.signIn(words.email(), words.password());
    sessions.signIn(request, account);
    return accounts.me(account);
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
