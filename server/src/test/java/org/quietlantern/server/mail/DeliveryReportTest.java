package org.quietlantern.server.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

/** Reports of what was not delivered, as RFC 3464 has them. */
class DeliveryReportTest {
  private static final String REPORT =
      """
      From: MAILER-DAEMON@mx.example
      Content-Type: multipart/report; report-type=delivery-status;
       boundary="x"

      --x
      Content-Type: text/plain

      Alas.

      --x
      Content-Type: message/delivery-status

      Reporting-MTA: dns; mx.example

      Final-Recipient: RFC822; ana@labs.example
      Action: failed
      Status: 5.1.1
      Diagnostic-Code: smtp; 550 5.1.1 There is nobody
       of that name

      Final-Recipient: rfc822; bo@labs.example
      Action: delayed
      Status: 4.2.2

      Final-Recipient: rfc822; cy@labs.example
      Action: failed
      Status: 5.2.2

      --x
      Content-Type: message/rfc822

      Message-ID: <one@lantern.example>
      Subject: Something

      Something.
      --x--
      """
          .replace("\n", "\r\n");

  private static Optional<DeliveryReport> read(String message) throws Exception {
    return DeliveryReport.read(message.getBytes(StandardCharsets.ISO_8859_1));
  }

  @DisplayName("Who was not reached for good, and why; who may still be is left out")
  @Test
  void read() throws Exception {
    DeliveryReport expected =
        new DeliveryReport(
            "<one@lantern.example>",
            List.of(
                new DeliveryReport.Failed(
                    "ana@labs.example", "550 5.1.1 There is nobody of that name"),
                new DeliveryReport.Failed("cy@labs.example", "5.2.2")));
    assertThat(read(REPORT)).contains(expected);
    assertThat(read(REPORT.replace("message/rfc822", "text/rfc822-headers"))).contains(expected);
    assertThat(read(REPORT.replace("\r\n", "\n"))).contains(expected);
  }

  @DisplayName("What else lies in a mailbox is no report")
  @Test
  void others() throws Exception {
    assertThat(read("")).isEmpty();
    assertThat(read("Subject: I am away\r\n\r\nUntil Monday.")).isEmpty();
    assertThat(read(REPORT.replace("delivery-status;", "disposition-notification;"))).isEmpty();
    assertThat(read(REPORT.replace("message/delivery-status", "text/plain"))).isEmpty();
    assertThat(read(REPORT.replace("Message-ID", "X-Id"))).isEmpty();
    assertThat(read(REPORT.substring(0, 300))).isEmpty();
  }
}
