package org.quietlantern.server.catalogue;

import org.quietlantern.server.platform.Hash;

/** Winning values as stored, with the hash by which a change is told from a repetition. */
record Winning(String fields, byte[] hash) {
  static Winning of(String fields) {
    return new Winning(fields, Hash.of(fields));
  }
}
