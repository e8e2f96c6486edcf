package org.quietlantern.server.mail;

import jakarta.mail.BodyPart;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.ContentType;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Properties;

/**
 * What a mail server reports of a letter that it could not deliver (RFC 3464).
 *
 * @param messageId of the letter
 * @param failed recipients that it did not reach for good: {@code Action} failed, {@code Status} of
 *     class 5
 */
record DeliveryReport(String messageId, List<Failed> failed) {
  private static final int PARTS = 3;

  /** {@code why}: the server's own words, or the status code. */
  record Failed(String recipient, String why) {}

  /** Empty for whatever else may lie in a mailbox; throws where it is no message at all. */
  static Optional<DeliveryReport> read(byte[] message) throws MessagingException, IOException {
    MimeMessage mail =
        new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(message));
    ContentType type = new ContentType(Optional.ofNullable(mail.getContentType()).orElse(""));
    if (!type.match("multipart/report")
        || !"delivery-status".equalsIgnoreCase(type.getParameter("report-type"))
        || !(mail.getContent() instanceof MimeMultipart parts)
        || parts.getCount() < PARTS) {
      return Optional.empty();
    }
    BodyPart status = parts.getBodyPart(1);
    if (!status.isMimeType("message/delivery-status")) {
      return Optional.empty();
    }
    String[] ids = new InternetHeaders(raw(parts.getBodyPart(2))).getHeader("Message-ID");
    return ids == null
        ? Optional.empty()
        : Optional.of(new DeliveryReport(ids[0].strip(), failed(raw(status))));
  }

  /** Whatever the type, as it stands there. */
  private static InputStream raw(Part part) throws MessagingException, IOException {
    return part.getInputStream();
  }

  /** Groups of fields, the first about the letter, each other one about a recipient (2.1). */
  private static List<Failed> failed(InputStream status) throws MessagingException, IOException {
    List<Failed> failed = new ArrayList<>();
    String text = new String(status.readAllBytes(), StandardCharsets.ISO_8859_1);
    for (String group : text.replace("\r\n", "\n").split("\n[ \\t]*\n")) {
      InternetHeaders fields =
          new InternetHeaders(
              new ByteArrayInputStream(
                  (group.strip() + "\r\n\r\n").getBytes(StandardCharsets.ISO_8859_1)));
      String code = one(fields, "Status");
      if (one(fields, "Action").toLowerCase(Locale.ROOT).startsWith("failed")
          && code.startsWith("5")) {
        String said = typed(one(fields, "Diagnostic-Code"));
        failed.add(new Failed(typed(one(fields, "Final-Recipient")), said.isEmpty() ? code : said));
      }
    }
    return failed;
  }

  /** Without the name of its type: {@code rfc822; ana@labs.example} (2.1.2). */
  private static String typed(String value) {
    return value.substring(value.indexOf(';') + 1).strip();
  }

  private static String one(InternetHeaders fields, String name) {
    String[] all = fields.getHeader(name);
    return all == null ? "" : all[0].replaceAll("\\s+", " ").strip();
  }
}
