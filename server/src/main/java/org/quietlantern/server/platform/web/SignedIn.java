package org.quietlantern.server.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Who is signed in where nobody has to be. */
@Component
public class SignedIn {
  private final HttpServletRequest request;

  SignedIn(HttpServletRequest request) {
    this.request = request;
  }

  /** Row number of the account of the running request's session. */
  public Optional<Integer> account() {
    return SessionAccount.accountOf(request);
  }
}
