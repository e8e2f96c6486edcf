package org.quietlantern.server.mail;

import jakarta.activation.DataHandler;
import jakarta.mail.Address;
import jakarta.mail.Message;
import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.Transport;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.MimeBodyPart;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import jakarta.mail.util.ByteArrayDataSource;
import jakarta.mail.util.StreamProvider;
import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.List;
import java.util.Objects;
import java.util.Properties;
import java.util.stream.Stream;
import org.eclipse.angus.mail.smtp.SMTPAddressFailedException;
import org.eclipse.angus.mail.smtp.SMTPSendFailedException;
import org.eclipse.angus.mail.util.MailStreamProvider;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.LanternProperties;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** Talks to the mail server (SMTP, RFC 5321). */
@Component
class Postman {
  private static final Logger LOG = LoggerFactory.getLogger(Postman.class);
  private static final String WAIT = "20000";
  private static final int PERMANENT = 500;

  /** Mail servers end a connection that does not come to an end. */
  private static final int BY_ONE_CONNECTION = 50;

  private final LanternProperties.Mail mail;
  private final Calendar calendar;

  static {
    // Looked for among all libraries with each letter otherwise.
    System.setProperty(StreamProvider.class.getName(), MailStreamProvider.class.getName());
  }

  Postman(LanternProperties properties, Calendar calendar) {
    this.mail = properties.mail();
    this.calendar = calendar;
  }

  /** Sets out with letters. */
  Round setOut() {
    return new Round();
  }

  /** Letters handed over one after the other, by one connection as long as that holds. */
  final class Round implements AutoCloseable {
    private final Session session = Session.getInstance(properties());
    private Transport transport;
    private int sent;

    void send(OutboxMapper.Row letter, List<Letter.Enclosed> files) throws MessagingException {
      MimeMessage message = message(session, letter, files);
      try {
        connected().sendMessage(message, message.getAllRecipients());
        sent++;
      } catch (MessagingException failed) {
        hangUp();
        throw failed;
      }
    }

    private Transport connected() throws MessagingException {
      // Whether it still holds is asked of the server (NOOP, RFC 5321, 4.1.1.9).
      if (transport == null || sent >= BY_ONE_CONNECTION || !transport.isConnected()) {
        hangUp();
        Transport fresh = session.getTransport("smtp");
        fresh.connect(
            mail.host(),
            mail.port(),
            mail.user().isEmpty() ? null : mail.user(),
            mail.user().isEmpty() ? null : mail.password());
        transport = fresh;
        sent = 0;
      }
      return transport;
    }

    private void hangUp() {
      if (transport != null) {
        try {
          transport.close();
        } catch (MessagingException gone) {
          LOG.debug("the mail server hung up first", gone);
        }
        transport = null;
      }
    }

    @Override
    public void close() {
      hangUp();
    }
  }

  private Properties properties() {
    Properties all = new Properties();
    all.put("mail.smtp.connectiontimeout", WAIT);
    all.put("mail.smtp.timeout", WAIT);
    all.put("mail.smtp.writetimeout", WAIT);
    all.put("mail.smtp.auth", Boolean.toString(!mail.user().isEmpty()));
    all.put("mail.smtp.ssl.enable", Boolean.toString(mail.security().equals("tls")));
    all.put("mail.smtp.starttls.enable", Boolean.toString(mail.security().equals("starttls")));
    all.put("mail.smtp.starttls.required", Boolean.toString(mail.security().equals("starttls")));
    all.put("mail.smtp.ssl.checkserveridentity", "true");
    // Said once more on the line; nothing of the machine's name is told.
    all.put("mail.smtp.localhost", mail.domain());
    return all;
  }

  /** Plain text, and the same as HTML (RFC 2046, 5.1.4: the best comes last). */
  private MimeMessage message(Session session, OutboxMapper.Row letter, List<Letter.Enclosed> files)
      throws MessagingException {
    MimeMessage message =
        new MimeMessage(session) {
          @Override
          protected void updateMessageID() throws MessagingException {
            setHeader("Message-ID", letter.messageId());
          }
        };
    message.setFrom(new InternetAddress(mail.from(), true));
    message.setRecipient(Message.RecipientType.TO, new InternetAddress(letter.recipient(), true));
    message.setSubject(oneLine(letter.subject()), StandardCharsets.UTF_8.name());
    message.setSentDate(Date.from(calendar.now()));
    // No machine answers it (RFC 3834, 5).
    message.setHeader("Auto-Submitted", "auto-generated");
    if (letter.unsubscribe() != null) {
      // One POST stops it (RFC 2369, 3.2; RFC 8058, 3.1).
      message.setHeader("List-Unsubscribe", "<" + letter.unsubscribe() + ">");
      message.setHeader("List-Unsubscribe-Post", "List-Unsubscribe=One-Click");
    }
    MimeBodyPart text = new MimeBodyPart();
    text.setText(letter.text(), StandardCharsets.UTF_8.name());
    MimeBodyPart html = new MimeBodyPart();
    html.setText(letter.html(), StandardCharsets.UTF_8.name(), "html");
    MimeMultipart said = new MimeMultipart("alternative", text, html);
    message.setContent(files.isEmpty() ? said : enclosing(said, files));
    if (letter.replyTo() != null) {
      message.setReplyTo(new Address[] {new InternetAddress(letter.replyTo(), true)});
    }
    message.saveChanges();
    return message;
  }

  /** What is said, and files behind it (RFC 2046, 5.1.3; RFC 2183). */
  private static MimeMultipart enclosing(MimeMultipart said, List<Letter.Enclosed> files)
      throws MessagingException {
    MimeBodyPart body = new MimeBodyPart();
    body.setContent(said);
    MimeMultipart all = new MimeMultipart("mixed", body);
    for (Letter.Enclosed one : files) {
      MimeBodyPart file = new MimeBodyPart();
      file.setDataHandler(new DataHandler(new ByteArrayDataSource(one.content(), one.type())));
      file.setFileName(one.name());
      file.setDisposition(Part.ATTACHMENT);
      all.addBodyPart(file);
    }
    return all;
  }

  /** A name of a group may hold anything; a header ends with its line. */
  private static String oneLine(String subject) {
    return subject.replaceAll("[\\p{Cntrl}\\s]+", " ").strip();
  }

  /** Whether the server said no and will say it again (reply codes of 5yz). */
  static boolean isForGood(Exception failed) {
    return isNobody(failed)
        || causes(failed)
            .anyMatch(
                one ->
                    one instanceof SMTPSendFailedException sent
                        && sent.getReturnCode() >= PERMANENT);
  }

  /** Whether it said so of the recipient. */
  static boolean isNobody(Exception failed) {
    return causes(failed)
        .anyMatch(
            one ->
                one instanceof SMTPAddressFailedException address
                    && address.getReturnCode() >= PERMANENT);
  }

  private static Stream<Exception> causes(Exception failed) {
    return Stream.iterate(
        failed,
        Objects::nonNull,
        one -> one instanceof MessagingException mail ? mail.getNextException() : null);
  }
}
