package org.quietlantern.core.watch;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.Base64;
import java.util.Collection;
import org.roaringbitmap.RoaringBitmap;

/**
 * Every publication that an alert ever matched or was told to pass over, by row number. Immutable.
 * What matches now and is not in it is new.
 */
public final class Memory {
  private final RoaringBitmap ids;

  private Memory(RoaringBitmap ids) {
    this.ids = ids;
  }

  /** Remembers exactly these. */
  public static Memory of(RoaringBitmap ids) {
    return new Memory(ids.clone());
  }

  public static Memory none() {
    return new Memory(new RoaringBitmap());
  }

  /** What of {@code matches} is not remembered. */
  public RoaringBitmap news(RoaringBitmap matches) {
    return RoaringBitmap.andNot(matches, ids);
  }

  public boolean remembersAny(Collection<Integer> some) {
    return some.stream().anyMatch(ids::contains);
  }

  public Memory with(RoaringBitmap matches) {
    return new Memory(RoaringBitmap.or(ids, matches));
  }

  public int size() {
    return ids.getCardinality();
  }

  /** In the portable format of RoaringBitmap. */
  public byte[] bytes() {
    RoaringBitmap packed = ids.clone();
    packed.runOptimize();
    byte[] bytes = new byte[packed.serializedSizeInBytes()];
    packed.serialize(ByteBuffer.wrap(bytes));
    return bytes;
  }

  /** The same as text (base 64, RFC 4648). */
  public String text() {
    return Base64.getEncoder().encodeToString(bytes());
  }

  public static Memory read(byte[] bytes) {
    RoaringBitmap ids = new RoaringBitmap();
    try {
      ids.deserialize(ByteBuffer.wrap(bytes));
    } catch (IOException broken) {
      throw new UncheckedIOException("an alert's memory cannot be read", broken);
    }
    return new Memory(ids);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Memory memory && memory.ids.equals(ids);
  }

  @Override
  public int hashCode() {
    return ids.hashCode();
  }

  @Override
  public String toString() {
    return "Memory" + ids;
  }
}
