package org.quietlantern.server.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.quietlantern.server.platform.web.SessionAccount;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class MyAccountController {
  private final MyAccount mine;
  private final MyLetters letters;
  private final Forgotten forgotten;
  private final SessionAccount sessions;

  record ForgottenWords(String email) {}

  record PasswordWords(String password, String next) {}

  record AddressWords(String email, String password) {}

  /** {@code code}: what stands in the link behind {@code #}. */
  record AddressCode(String code) {}

  /** The address that an account has from now on. */
  record AddressConfirmed(String email) {}

  MyAccountController(
      MyAccount mine, MyLetters letters, Forgotten forgotten, SessionAccount sessions) {
    this.mine = mine;
    this.letters = letters;
    this.forgotten = forgotten;
    this.sessions = sessions;
  }

  /** Asks for a link to choose another password; answered alike for every address. */
  @PostMapping("/entry/forgotten")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forgotten(@RequestBody ForgottenWords words, HttpServletRequest request) {
    forgotten.ask(words.email(), request.getRemoteAddr());
  }

  /** Confirms that an address is one's own: 404 for no link, 410 for one that is void. */
  @PostMapping("/entry/address")
  AddressConfirmed confirm(@RequestBody AddressCode words) {
    return new AddressConfirmed(mine.confirm(words.code()));
  }

  /** Another password; all other visits end. */
  @PutMapping("/me/password")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void setPassword(@RequestBody PasswordWords words, HttpServletRequest request) {
    mine.setPassword(
        SessionAccount.current(), words.password(), words.next(), request.getRemoteAddr());
    sessions.endOthers(request);
  }

  /** Sends a link to another address, which the account has once that was opened. */
  @PostMapping("/me/address")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void askForAddress(@RequestBody AddressWords words, HttpServletRequest request) {
    mine.askForAddress(
        SessionAccount.current(), words.email(), words.password(), request.getRemoteAddr());
  }

  /** Where the account's days begin, and when its letters come. */
  @GetMapping("/me/settings")
  AccountSettings settings() {
    return letters.settings(SessionAccount.current());
  }

  /** Sets them. */
  @PutMapping("/me/settings")
  AccountSettings set(@RequestBody AccountSettings wanted) {
    return letters.set(SessionAccount.current(), wanted);
  }

  /** Whether letters to the account arrive. */
  @GetMapping("/me/letters")
  MyLetters.LettersArrive letters() {
    return letters.arrive(SessionAccount.current());
  }

  /** That the address works again: it is written to again. */
  @PostMapping("/me/letters/again")
  MyLetters.LettersArrive writeAgain() {
    return letters.writeAgain(SessionAccount.current());
  }

  /** Where one is signed in, the last used first. */
  @GetMapping("/me/visits")
  List<SessionAccount.VisitShown> visits(HttpServletRequest request) {
    return sessions.visits(request);
  }

  /** Ends all visits but this one. */
  @DeleteMapping("/me/visits")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void endOthers(HttpServletRequest request) {
    sessions.endOthers(request);
  }

  /** Ends a visit of one's own. */
  @DeleteMapping("/me/visits/{visit}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(@PathVariable String visit) {
    sessions.end(visit);
  }
}
