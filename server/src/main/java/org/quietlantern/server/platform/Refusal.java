package org.quietlantern.server.platform;

import java.util.Map;
import org.springframework.http.HttpStatus;

/**
 * A request that is refused: a stable type that programs branch on, a sentence that a person can
 * act on, and details in fields.
 */
public class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1;
  private final HttpStatus status;
  private final String type;
  private final transient Map<String, Object> details;

  public Refusal(HttpStatus status, String type, String sentence, Map<String, Object> details) {
    super(sentence);
    this.status = status;
    this.type = type;
    this.details = Map.copyOf(details);
  }

  public Refusal(HttpStatus status, String type, String sentence) {
    this(status, type, sentence, Map.of());
  }

  /** Nothing here by that name, or not for this reader: strangers cannot tell which. */
  public static Refusal unknown() {
    return new Refusal(HttpStatus.NOT_FOUND, "unknown", "There is nothing at this address.");
  }

  /** The request itself cannot be used. */
  public static Refusal unusable(String type, String sentence) {
    return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, type, sentence);
  }

  /** It met something that has changed or is there already. */
  public static Refusal conflict(String type, String sentence) {
    return new Refusal(HttpStatus.CONFLICT, type, sentence);
  }

  /** There is no room for it now; the answer says when to come again. */
  public static Refusal busy(String sentence) {
    return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, "busy", sentence);
  }

  /** Whoever asked has left; the answer is for the log. */
  public static Refusal left() {
    return new Refusal(HttpStatus.REQUEST_TIMEOUT, "left", "Nobody waits for this any more.");
  }

  public HttpStatus status() {
    return status;
  }

  public String type() {
    return type;
  }

  public Map<String, Object> details() {
    return details;
  }
}
