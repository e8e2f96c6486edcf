package org.quietlantern.server.account;

import jakarta.servlet.http.HttpServletRequest;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Codes come in bodies, never in addresses: addresses are logged and remembered. */
@RestController
@RequestMapping("/api/entry")
class EntryController {
  private final Entries entries;
  private final Accounts accounts;
  private final SessionAccount sessions;

  /** {@code code}: what stands in the link behind {@code #}. */
  record EntryCode(String code) {}

  /** {@code zone}: the time zone that the visitor is in, like {@code Europe/Oslo}. */
  record EntryWords(String code, String password, String zone) {}

  EntryController(Entries entries, Accounts accounts, SessionAccount sessions) {
    this.entries = entries;
    this.accounts = accounts;
    this.sessions = sessions;
  }

  /** Whom a link is for: 404 if it is none, 410 if it was used or is too old. */
  @PostMapping
  Entries.EntryShown look(@RequestBody EntryCode asked) {
    return entries.look(asked.code());
  }

  /** Makes the account, or gives it another password, and begins a visit. */
  @PostMapping("/visit")
  Me enter(@RequestBody EntryWords words, HttpServletRequest request) {
    int account = entries.enter(words.code(), words.password(), words.zone());
    sessions.signOutEverywhere(account);
    sessions.signIn(request, account);
    return accounts.me(account);
  }
}
