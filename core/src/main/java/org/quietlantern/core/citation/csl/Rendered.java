package org.quietlantern.core.citation.csl;

/**
 * What an element came to.
 *
 * @param output null where it is empty
 * @param called whether it asked for a variable
 * @param found whether one of those had something
 */
record Rendered(Output output, boolean called, boolean found) {
  static final Rendered NOTHING = new Rendered(null, false, false);
  static final Rendered EMPTY = new Rendered(null, true, false);

  static Rendered said(Output output) {
    return new Rendered(output, false, false);
  }

  static Rendered of(Output output) {
    return new Rendered(output, true, output != null);
  }

  boolean isEmpty() {
    return output == null;
  }
}
