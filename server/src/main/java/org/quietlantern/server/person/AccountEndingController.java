package org.quietlantern.server.person;

import org.quietlantern.server.group.Member;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/house/accounts")
class AccountEndingController {
  private final AccountEnding ending;

  record AccountState(String email, boolean ended) {}

  AccountEndingController(AccountEnding ending) {
    this.ending = ending;
  }

  /** Ends an account, or lets it be used again; for stewards. */
  @PutMapping("/state")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void set(Member me, @RequestBody AccountState body) {
    ending.set(me, body.email(), body.ended());
  }
}
