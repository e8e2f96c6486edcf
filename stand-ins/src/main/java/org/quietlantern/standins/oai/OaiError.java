package org.quietlantern.standins.oai;

/** An error condition of OAI-PMH 2.0, section 3.6. */
final class OaiError extends RuntimeException {
  private static final long serialVersionUID = 1;
  private final String code;

  OaiError(String code, String message) {
    super(message, null, false, false);
    this.code = code;
  }

  String code() {
    return code;
  }
}
