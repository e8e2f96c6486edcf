package org.quietlantern.server.platform.sql;

/** Patterns of SQL for what somebody typed. */
public final class Like {
  private Like() {}

  /** Fits whatever has the words in it as they are; empty where there are none. */
  public static String part(String words) {
    String typed = words.strip();
    return typed.isEmpty() ? "" : "%" + typed.replaceAll("([\\\\%_])", "\\\\$1") + "%";
  }
}
