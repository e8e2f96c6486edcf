package org.quietlantern.standins.mail;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;

/** Reports of letters that could not be delivered (RFC 3464), as a mail server writes them. */
final class Returned {
  private Returned() {}

  /** One into a Maildir. {@code letter}: the message that did not arrive. */
  static void write(byte[] letter, String recipient, Path maildir) throws IOException {
    String text = new String(letter, StandardCharsets.ISO_8859_1);
    String headers = text.split("\r?\n\r?\n", 2)[0];
    String report =
        """
        From: MAILER-DAEMON@mx.example
        Subject: Undelivered Mail Returned to Sender
        MIME-Version: 1.0
        Content-Type: multipart/report; report-type=delivery-status; boundary="=part"

        --=part
        Content-Type: text/plain; charset=us-ascii

        Your message could not be delivered.

        --=part
        Content-Type: message/delivery-status

        Reporting-MTA: dns; mx.example

        Final-Recipient: rfc822; %s
        Action: failed
        Status: 5.1.1
        Diagnostic-Code: smtp; 550 5.1.1 There is nobody of
         that name

        --=part
        Content-Type: text/rfc822-headers

        %s

        --=part--
        """
            .formatted(recipient, headers.replace("\r\n", "\n"))
            .replace("\n", "\r\n");
    Path waiting = Files.createDirectories(maildir.resolve("new"));
    Path written = Files.createDirectories(maildir.resolve("tmp")).resolve("" + UUID.randomUUID());
    Files.writeString(written, report, StandardCharsets.ISO_8859_1);
    Files.move(written, waiting.resolve(written.getFileName()));
  }
}
