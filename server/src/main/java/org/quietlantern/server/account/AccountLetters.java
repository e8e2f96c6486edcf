package org.quietlantern.server.account;

import java.util.Map;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.mail.Letter;
import org.quietlantern.server.mail.Outbox;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;

/** What is written to people about their accounts; each letter is a part of what it tells. */
@Component
class AccountLetters {
  private final Outbox outbox;
  private final LanternProperties properties;

  AccountLetters(Outbox outbox, LanternProperties properties) {
    this.outbox = outbox;
    this.properties = properties;
  }

  /** Refused where the installation has no mail server. */
  void requireMail() {
    outbox.requireMail();
  }

  /**
   * A link that does something.
   *
   * @param place where it leads, below the installation's address
   * @param until in words
   */
  void link(String email, String subject, String says, String place, String until) {
    write(
        email,
        subject,
        "account-link",
        Map.of("says", says, "link", properties.baseUrl() + place, "until", until));
  }

  /** Tells what was done to an account; nothing where the installation has no mail server. */
  void news(String email, String subject, String says) {
    if (outbox.hasMail()) {
      write(
          email,
          subject,
          "account-news",
          Map.of("says", says, "link", properties.baseUrl() + "/forgotten"));
    }
  }

  private void write(String email, String subject, String template, Map<String, String> values) {
    MailAddress.read(email)
        .ifPresent(to -> outbox.write(new Letter(to, subject, template, values, null)));
  }
}
