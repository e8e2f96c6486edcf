package org.quietlantern.server.address;

import java.time.Instant;
import org.quietlantern.server.platform.Nullable;

/**
 * What became of an address when it was tried (rule K4).
 *
 * @param state {@code works}, {@code asks for sign-in}, {@code moved}, {@code dead} or {@code not
 *     tried}
 * @param movedTo where it leads for good
 * @param good when it worked last
 */
public record AddressState(
    String url,
    String state,
    @Nullable String movedTo,
    @Nullable Instant tried,
    @Nullable Instant good) {
  public static final String NOT_TRIED = "not tried";
  public static final String WORKS = "works";
  public static final String SIGN_IN = "asks for sign-in";
  public static final String MOVED = "moved";
  public static final String DEAD = "dead";

  static AddressState untried(String url) {
    return new AddressState(url, NOT_TRIED, null, null, null);
  }
}
