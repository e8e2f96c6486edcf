package org.quietlantern.core.exchange;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import org.quietlantern.core.publication.Text;

/**
 * Text of an XML document, in UTF-8 unless it says otherwise, in which nothing stands that XML 1.0
 * (section 2.2) does not allow: bytes that are no UTF-8, control characters, and references to such
 * (of number 0) become U+FFFD. Otherwise one bad letter would cost the whole document. A byte order
 * mark is left out.
 */
public final class ReplacingReader extends Reader {
  private static final char REPLACED = '\uFFFD';
  private static final int MARK = '\uFEFF';

  /** Letters of the longest reference to a character (a hexadecimal one, with some zeros). */
  private static final int LONGEST_REFERENCE = 16;

  private final Reader text;
  private boolean begun;

  public ReplacingReader(InputStream bytes) {
    this(bytes, StandardCharsets.UTF_8);
  }

  /** In another encoding; what is no letter in it is replaced as well. */
  ReplacingReader(InputStream bytes, Charset encoding) {
    this.text = new BufferedReader(new InputStreamReader(bytes, encoding), 1 << 16);
  }

  @Override
  public int read(char[] into, int offset, int length) throws IOException {
    if (length == 0) {
      return 0;
    }
    int first = next();
    if (first < 0) {
      return -1;
    }
    into[offset] = (char) first;
    return 1 + plain(into, offset + 1, length - 1);
  }

  /** What comes before the next reference, in one piece. */
  private int plain(char[] into, int offset, int length) throws IOException {
    if (length == 0 || !text.ready()) {
      return 0;
    }
    text.mark(length);
    int count = Math.max(0, text.read(into, offset, length));
    int plain = 0;
    while (plain < count && into[offset + plain] != '&') {
      into[offset + plain] = allowed(into[offset + plain]);
      plain++;
    }
    if (plain < count) {
      text.reset();
      text.skip(plain);
    }
    return plain;
  }

  /** What is decoded has no single halves of a pair. */
  private static char allowed(char letter) {
    return Text.isLegal(letter) || Character.isSurrogate(letter) ? letter : REPLACED;
  }

  private int next() throws IOException {
    int next = text.read();
    if (!begun) {
      begun = true;
      next = next == MARK ? text.read() : next;
    }
    if (next == '&') {
      return reference();
    }
    return next < 0 ? next : allowed((char) next);
  }

  /** Looks at what follows an ampersand; gives it back as it was unless it names what cannot be. */
  private int reference() throws IOException {
    text.mark(LONGEST_REFERENCE);
    StringBuilder named = new StringBuilder();
    int next = text.read();
    while (next >= 0 && next != ';' && named.length() < LONGEST_REFERENCE - 1) {
      named.append((char) next);
      next = text.read();
    }
    if (next == ';' && named.length() > 1 && named.charAt(0) == '#' && !namesAllowed(named)) {
      return REPLACED;
    }
    text.reset();
    return '&';
  }

  private static boolean namesAllowed(StringBuilder named) {
    boolean hex = named.charAt(1) == 'x';
    try {
      return Text.isLegal(Integer.parseInt(named.substring(hex ? 2 : 1), hex ? 16 : 10));
    } catch (NumberFormatException noNumber) {
      return true;
    }
  }

  @Override
  public void close() throws IOException {
    text.close();
  }
}
