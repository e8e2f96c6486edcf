package org.quietlantern.core.reference;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Letters of a file whose encoding nobody told: UTF-8, UTF-16 with a mark, else Windows-1252, line
 * by line where they are mixed.
 */
record FileText(String text, List<ReadFile.Problem> problems) {
  private static final Charset WINDOWS = Charset.forName("windows-1252");

  /** Bytes at the beginning that show whether it is text. */
  private static final int LOOKED_AT = 8_000;

  /** Empty if it is no text. */
  static Optional<FileText> of(byte[] file) {
    if (file.length > 1 && isMark(file, 0xFE, 0xFF)) {
      return Optional.of(sound(new String(file, StandardCharsets.UTF_16BE)));
    }
    if (file.length > 1 && isMark(file, 0xFF, 0xFE)) {
      return Optional.of(sound(new String(file, StandardCharsets.UTF_16LE)));
    }
    for (int i = 0; i < Math.min(file.length, LOOKED_AT); i++) {
      if (file[i] == 0) {
        return Optional.empty();
      }
    }
    return Optional.of(
        utf8(file, 0, file.length).map(FileText::sound).orElseGet(() -> byLine(file)));
  }

  private static boolean isMark(byte[] file, int first, int second) {
    return (file[0] & 0xFF) == first && (file[1] & 0xFF) == second;
  }

  private static FileText sound(String text) {
    return new FileText(text.startsWith("\uFEFF") ? text.substring(1) : text, List.of());
  }

  private static Optional<String> utf8(byte[] file, int from, int to) {
    try {
      return Optional.of(
          StandardCharsets.UTF_8
              .newDecoder()
              .decode(ByteBuffer.wrap(file, from, to - from))
              .toString());
    } catch (CharacterCodingException other) {
      return Optional.empty();
    }
  }

  private static FileText byLine(byte[] file) {
    StringBuilder text = new StringBuilder(file.length);
    List<Integer> others = new ArrayList<>();
    int line = 1;
    boolean beyond = false;
    for (int from = 0; from < file.length; line++) {
      int to = from;
      while (to < file.length && file[to] != '\n') {
        to++;
      }
      to = Math.min(file.length, to + 1);
      Optional<String> known = utf8(file, from, to);
      if (known.isPresent()) {
        beyond |= known.get().length() < to - from;
        text.append(known.get());
      } else {
        others.add(line);
        text.append(new String(file, from, to - from, WINDOWS));
      }
      from = to;
    }
    String said =
        beyond
            ? "Most lines are UTF-8, and %,d %s not; read as Windows-1252."
                .formatted(others.size(), others.size() == 1 ? "is" : "are")
            : "Its letters are not UTF-8; they were read as Windows-1252.";
    return new FileText(text.toString(), List.of(new ReadFile.Problem(others.get(0), said)));
  }
}
