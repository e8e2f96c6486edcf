package org.quietlantern.server.membership;

import jakarta.servlet.http.HttpServletRequest;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Codes come in bodies, never in addresses: addresses are logged and remembered. */
@RestController
@RequestMapping("/api/join")
class JoiningController {
  private final Joining joining;
  private final SessionAccount sessions;

  /** {@code code}: what stands in the link behind {@code #}. */
  record InvitationCode(String code) {}

  /** {@code name}: what the group calls whoever joins. */
  record JoinWords(String code, String name) {}

  /** {@code zone}: the time zone that the visitor is in, like {@code Europe/Oslo}. */
  record BeginWords(String code, String name, String password, String zone) {}

  /** {@code id}: of the group that was joined. */
  record GroupJoined(String id) {}

  JoiningController(Joining joining, SessionAccount sessions) {
    this.joining = joining;
    this.sessions = sessions;
  }

  /** What an invitation is: 404 if it is none, 410 if it was used, taken back or is too old. */
  @PostMapping
  Joining.InvitationOpen look(@RequestBody InvitationCode asked, HttpServletRequest request) {
    return joining.look(asked.code(), SessionAccount.accountOf(request));
  }

  /** Joins with the account that is signed in. */
  @PostMapping("/member")
  GroupJoined join(@RequestBody JoinWords words) {
    return new GroupJoined(joining.join(words.code(), SessionAccount.current(), words.name()).id());
  }

  /** Makes an account, joins, and begins a visit. */
  @PostMapping("/visit")
  GroupJoined begin(@RequestBody BeginWords words, HttpServletRequest request) {
    Joining.Joined joined =
        joining.begin(words.code(), words.name(), words.password(), words.zone());
    sessions.signIn(request, joined.account());
    return new GroupJoined(joined.id());
  }
}
