package org.quietlantern.server.reading;

import java.io.IOException;
import java.io.InputStream;
import org.springframework.core.io.AbstractResource;

/** The file of a text, read from the database piece by piece, from anywhere in it. */
final class TextFile extends AbstractResource {
  private static final int PIECE = 1 << 18;
  private final TextMapper mapper;
  private final TextMapper.Row row;

  TextFile(TextMapper mapper, TextMapper.Row row) {
    this.mapper = mapper;
    this.row = row;
  }

  @Override
  public String getDescription() {
    return "text " + row.pid();
  }

  @Override
  public boolean exists() {
    return true;
  }

  @Override
  public long contentLength() {
    return row.size();
  }

  @Override
  public InputStream getInputStream() {
    return new Pieces();
  }

  private final class Pieces extends InputStream {
    private byte[] piece = new byte[0];
    private int at;
    private int next;

    @Override
    public int read() throws IOException {
      byte[] one = new byte[1];
      return read(one, 0, 1) < 0 ? -1 : one[0] & 0xFF;
    }

    @Override
    public int read(byte[] to, int offset, int length) throws IOException {
      if (at == piece.length) {
        if (next >= row.size()) {
          return -1;
        }
        TextMapper.Piece found = mapper.piece(row.hash(), next + 1, PIECE);
        if (found == null || found.bytes().length == 0) {
          throw new IOException("the text was taken out meanwhile");
        }
        piece = found.bytes();
        at = 0;
        next += piece.length;
      }
      int read = Math.min(length, piece.length - at);
      System.arraycopy(piece, at, to, offset, read);
      at += read;
      return read;
    }

    /** Without reading what lies between. */
    @Override
    public long skip(long length) {
      int here = next - piece.length + at;
      int to = (int) Math.min(row.size(), here + length);
      piece = new byte[0];
      at = 0;
      next = to;
      return (long) to - here;
    }
  }
}
