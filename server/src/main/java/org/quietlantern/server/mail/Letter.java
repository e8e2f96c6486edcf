package org.quietlantern.server.mail;

import java.util.List;
import java.util.Map;
import org.quietlantern.core.mail.MailAddress;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;

/**
 * A letter that is to be written.
 *
 * @param template name of the two files in {@code letters}, as text and as HTML
 * @param values what stands in the places of the template, and of the subject
 * @param group row number of the group on whose account it goes; none for the installation
 * @param replyTo whoever answers writes to this address; none: to nobody
 * @param files that go along, as {@link Outbox#keep} named them
 * @param regular what a letter has that comes again and again; none: it comes once
 */
public record Letter(
    MailAddress to,
    String subject,
    String template,
    Map<String, ?> values,
    @Nullable Integer group,
    @Nullable String replyTo,
    List<Long> files,
    @Nullable Regular regular) {

  public Letter {
    files = List.copyOf(files);
  }

  /**
   * @param name of this one among all of its kind: its {@code Message-ID} is made of it
   * @param stop address where letters of its kind are stopped by one POST (RFC 8058)
   */
  public record Regular(String name, String stop) {}

  /** A file that goes along. {@code type}: its media type. */
  public record Enclosed(String name, String type, byte[] content) {}

  /** One of ours, which nobody answers. */
  public Letter(
      MailAddress to,
      String subject,
      String template,
      Map<String, ?> values,
      @Nullable Integer group) {
    this(to, subject, template, values, group, null, List.of(), null);
  }

  /** One that comes again and again. */
  public static Letter regular(
      MailAddress to, String subject, String template, Map<String, ?> values, Regular regular) {
    return new Letter(to, subject, template, values, null, null, List.of(), regular);
  }

  /** To whom a letter is to go; refused, in its field of a form, where that is no address. */
  public static MailAddress to(@Nullable String email) {
    return MailAddress.read(email == null ? "" : email)
        .orElseThrow(() -> Refusal.unusable("email", "That is no e-mail address."));
  }
}
