package org.quietlantern.core.exchange;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import javax.xml.stream.XMLStreamException;
import javax.xml.transform.TransformerException;

/**
 * Records in a file, one after the other, in little memory: collections of MODS, of MARCXML, of
 * JATS or of Dublin Core, saved answers of OAI-PMH, MARC 21 in its exchange format (ISO 2709);
 * packed with gzip or several of them with zip. What it is shows in its first bytes.
 */
public final class RecordFile implements AutoCloseable {
  /** No honest text is packed so well; what is, has no other purpose than to fill a disk. */
  private static final int MOST_TIMES = 300;

  private static final long UNSUSPICIOUS = 50_000_000;

  /** How the parser says where it is. */
  private static final Pattern PLACE =
      Pattern.compile("\\[row,col\\]:\\[(\\d+),(\\d+)\\]\\s*Message: (.*)");

  /** Blanks before the first letter that are put up with. */
  private static final int LOOKED_AT = 512;

  private final Counted bytes;
  private final InputStream unpacked;
  private final Optional<ZipInputStream> archive;
  private Optional<Records> part = Optional.empty();
  private boolean anything;
  private boolean begun;

  /** Why it cannot be read further, once that is known. */
  private Optional<Broken> end = Optional.empty();

  /** The records of one part; empty behind the last. */
  interface Records {
    Optional<FiledRecord> next() throws IOException, XMLStreamException, TransformerException;
  }

  /** It is broken, and will be however often it is read; the message says where. */
  public static final class Broken extends IOException {
    private static final long serialVersionUID = 1;

    Broken(String message) {
      super(message);
    }
  }

  public RecordFile(InputStream file) throws IOException {
    this.bytes = new Counted(file, -1, null);
    InputStream seen = new BufferedInputStream(bytes, 1 << 16);
    byte[] first = peek(seen, 2);
    if (first.length == 2 && first[0] == 'P' && first[1] == 'K') {
      // Names of parts are looked at by nobody, whatever letters they have.
      this.archive = Optional.of(new ZipInputStream(seen, StandardCharsets.ISO_8859_1));
      this.unpacked = new Counted(archive.get(), MOST_TIMES, bytes);
    } else if (first.length == 2 && first[0] == 0x1f && first[1] == (byte) 0x8b) {
      this.archive = Optional.empty();
      this.unpacked = new Counted(gunzip(seen), MOST_TIMES, bytes);
    } else {
      this.archive = Optional.empty();
      this.unpacked = seen;
    }
  }

  private static InputStream gunzip(InputStream packed) throws IOException {
    try {
      return new GZIPInputStream(packed, 1 << 16);
    } catch (ZipException | java.io.EOFException broken) {
      throw new Broken("it looks packed and is not: " + broken.getMessage());
    }
  }

  /** How many bytes of the file were read. */
  public long bytesRead() {
    return bytes.count;
  }

  /**
   * The next record; empty behind the last.
   *
   * @throws Broken if it cannot be read further, or has nothing in it that can be read
   */
  public Optional<FiledRecord> next() throws IOException {
    if (end.isPresent()) {
      throw end.get();
    }
    try {
      return nextRecord();
    } catch (Broken broken) {
      end = Optional.of(broken);
      throw broken;
    }
  }

  private Optional<FiledRecord> nextRecord() throws IOException {
    try {
      while (part.isPresent() || nextPart()) {
        Optional<FiledRecord> record = part.orElseThrow().next();
        if (record.isPresent()) {
          anything = true;
          return record;
        }
        part = Optional.empty();
      }
    } catch (XMLStreamException | TransformerException broken) {
      throw new Broken("it breaks off or is no XML" + where(broken));
    } catch (ZipException | java.io.EOFException broken) {
      throw new Broken("it was packed badly or is cut short: " + broken.getMessage());
    }
    if (!anything) {
      throw new Broken("there is no record in it in a format that can be read");
    }
    return Optional.empty();
  }

  private static String where(Exception broken) {
    Matcher place = PLACE.matcher(String.valueOf(broken.getMessage()).replace('\n', ' '));
    return place.find()
        ? " at line %s, column %s: %s"
            .formatted(
                place.group(1), place.group(2), place.group(3).strip().replaceAll("\\.$", ""))
        : ": " + broken.getMessage();
  }

  /** The whole file, or the next of an archive that has records. */
  private boolean nextPart() throws IOException, XMLStreamException, TransformerException {
    if (archive.isEmpty()) {
      if (begun) {
        return false;
      }
      begun = true;
      part = records();
      return part.isPresent();
    }
    for (ZipEntry entry = entry(); entry != null; entry = entry()) {
      part = entry.isDirectory() ? Optional.empty() : records();
      if (part.isPresent()) {
        return true;
      }
    }
    return false;
  }

  private ZipEntry entry() throws IOException {
    try {
      return archive.orElseThrow().getNextEntry();
    } catch (IllegalArgumentException badName) {
      throw new Broken("it was packed badly: " + badName.getMessage());
    }
  }

  /** By how it begins; empty if it holds none. */
  private Optional<Records> records() throws IOException, XMLStreamException, TransformerException {
    InputStream text = new BufferedInputStream(new Unclosed(unpacked), 1 << 16);
    byte[] first = peek(text, LOOKED_AT);
    if (XmlRecords.isXml(first)) {
      return Optional.of(new XmlRecords(text, first));
    }
    return MarcRecords.isMarc(first) ? Optional.of(new MarcRecords(text)) : Optional.empty();
  }

  private static byte[] peek(InputStream from, int most) throws IOException {
    from.mark(most);
    byte[] first = from.readNBytes(most);
    from.reset();
    return first;
  }

  @Override
  public void close() throws IOException {
    unpacked.close();
    bytes.close();
  }

  /** Counts, and ends what comes out of too little. */
  private static final class Counted extends java.io.FilterInputStream {
    private final int mostTimes;
    private final Counted packed;
    private long count;

    Counted(InputStream from, int mostTimes, Counted packed) {
      super(from);
      this.mostTimes = mostTimes;
      this.packed = packed;
    }

    @Override
    public int read() throws IOException {
      int one = super.read();
      count(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
      int read = super.read(into, offset, length);
      count(Math.max(read, 0));
      return read;
    }

    private void count(int more) throws Broken {
      count += more;
      if (packed != null && count > UNSUSPICIOUS && count > packed.count * mostTimes) {
        throw new Broken("it unpacks to more than %d times its size".formatted(mostTimes));
      }
    }
  }

  /** One part of an archive: whoever is done with it does not close the rest. */
  private static final class Unclosed extends java.io.FilterInputStream {
    Unclosed(InputStream from) {
      super(from);
    }

    @Override
    public void close() {
      // The file is closed as a whole.
    }
  }
}
