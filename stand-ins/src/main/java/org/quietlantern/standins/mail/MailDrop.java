package org.quietlantern.standins.mail;

import jakarta.mail.MessagingException;
import jakarta.mail.Part;
import jakarta.mail.Session;
import jakarta.mail.internet.MimeMessage;
import jakarta.mail.internet.MimeMultipart;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Properties;
import java.util.concurrent.CopyOnWriteArrayList;
import org.subethamail.smtp.MessageContext;
import org.subethamail.smtp.MessageHandler;
import org.subethamail.smtp.RejectException;
import org.subethamail.smtp.server.SMTPServer;

/** An SMTP server on loopback (RFC 5321) that delivers to nobody: what it gets can be looked at. */
public final class MailDrop implements AutoCloseable {
  private static final int MOST = 500;
  private final SMTPServer server;
  private final MailFaults faults = new MailFaults();
  private final List<Got> got = new CopyOnWriteArrayList<>();
  private volatile Path returns = Path.of("returned");

  /**
   * A message as it came.
   *
   * @param to as the envelope says
   * @param replyTo where an answer goes; empty: to whoever it is from
   * @param text its part in plain text; {@code html}: the other one, empty without it
   * @param files what is enclosed
   * @param stop address where letters of its kind are stopped (RFC 2369); empty: there is none
   */
  public record Got(
      int number,
      String to,
      String subject,
      String messageId,
      String replyTo,
      String text,
      String html,
      List<Enclosed> files,
      String stop) {}

  /** A file of text. */
  public record Enclosed(String name, String text) {}

  /** {@code port} 0: any free one. */
  public MailDrop(int port) {
    server =
        SMTPServer.port(port == 0 ? free() : port)
            .bindAddress(InetAddress.getLoopbackAddress())
            .hostName("localhost")
            .messageHandlerFactory(Receiving::new)
            .build();
    server.start();
  }

  private static int free() {
    try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      return socket.getLocalPort();
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  public int port() {
    return server.getPortAllocated();
  }

  /** Into which Maildir it delivers what comes back. */
  public void returnInto(Path maildir) {
    returns = maildir;
  }

  public MailFaults faults() {
    return faults;
  }

  /** All that came, the oldest first. */
  public List<Got> got() {
    return List.copyOf(got);
  }

  /** What came for an address, the oldest first. */
  public List<Got> gotBy(String address) {
    return got.stream().filter(one -> one.to().equalsIgnoreCase(address)).toList();
  }

  private final class Receiving implements MessageHandler {
    private final List<String> recipients = new ArrayList<>();

    private Receiving(MessageContext context) {}

    @Override
    public void from(String from) {
      // Whoever writes is heard.
    }

    @Override
    public void recipient(String recipient) throws RejectException {
      switch (faults.fault()) {
        case BUSY -> throw new RejectException(451, "Too much to do, try again later");
        case NOBODY -> throw new RejectException(550, "There is nobody of that name");
        default -> recipients.add(recipient);
      }
    }

    @Override
    public String data(InputStream data) throws RejectException, IOException {
      byte[] bytes = data.readAllBytes();
      rest();
      for (String recipient : recipients) {
        keep(recipient, bytes);
      }
      if (faults.fault() == MailFaults.Fault.NOBODY_LATER) {
        for (String recipient : recipients) {
          Returned.write(bytes, recipient, returns);
        }
      }
      if (faults.fault() == MailFaults.Fault.LEAVES_AFTER_DATA) {
        throw new RejectException(421, "Leaving");
      }
      return "kept";
    }

    private void rest() {
      try {
        Thread.sleep(faults.pause().toMillis());
      } catch (InterruptedException stop) {
        Thread.currentThread().interrupt();
      }
    }

    @Override
    public void done() {
      // The next message has a handler of its own.
    }
  }

  private synchronized void keep(String recipient, byte[] bytes) throws IOException {
    try {
      MimeMessage message =
          new MimeMessage(Session.getInstance(new Properties()), new ByteArrayInputStream(bytes));
      got.add(
          new Got(
              got.isEmpty() ? 1 : got.get(got.size() - 1).number() + 1,
              recipient,
              Optional.ofNullable(message.getSubject()).orElse(""),
              Optional.ofNullable(message.getMessageID()).orElse(""),
              Optional.ofNullable(message.getHeader("Reply-To", ", ")).orElse(""),
              part(message, "text/plain").orElse(""),
              part(message, "text/html").orElse(""),
              files(message),
              Optional.ofNullable(message.getHeader("List-Unsubscribe", ", "))
                  .map(stop -> stop.replaceAll("[<>]", ""))
                  .orElse("")));
      while (got.size() > MOST) {
        got.remove(0);
      }
    } catch (MessagingException unreadable) {
      throw new IOException(unreadable);
    }
  }

  private static List<Enclosed> files(Part part) throws MessagingException, IOException {
    List<Enclosed> files = new ArrayList<>();
    if (Part.ATTACHMENT.equals(part.getDisposition())) {
      String text = new String(part.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      files.add(new Enclosed(part.getFileName(), text));
    } else if (part.getContent() instanceof MimeMultipart parts) {
      for (int at = 0; at < parts.getCount(); at++) {
        files.addAll(files(parts.getBodyPart(at)));
      }
    }
    return files;
  }

  private static Optional<String> part(Part part, String type)
      throws MessagingException, IOException {
    if (part.isMimeType(type)) {
      return Optional.of(part.getContent().toString());
    }
    if (part.getContent() instanceof MimeMultipart parts) {
      for (int at = 0; at < parts.getCount(); at++) {
        Optional<String> found = part(parts.getBodyPart(at), type);
        if (found.isPresent()) {
          return found;
        }
      }
    }
    return Optional.empty();
  }

  @Override
  public void close() {
    server.stop();
  }
}
