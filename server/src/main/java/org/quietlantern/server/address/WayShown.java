package org.quietlantern.server.address;

import java.time.Instant;
import java.util.Locale;
import org.quietlantern.core.text.TextWay;
import org.quietlantern.server.platform.Nullable;

/**
 * A way to a text as people are shown it.
 *
 * @param what {@code here}, {@code open-copy}, {@code publisher}, {@code library}, {@code version},
 *     {@code request}, {@code author}
 * @param word the same in words
 * @param address where it leads; absent for one that is asked for
 * @param use what is there: {@code page}, {@code file} or {@code about}
 * @param state of the address, as it was last tried: {@code works}, {@code asks for sign-in},
 *     {@code moved}, {@code dead}, {@code not tried}
 * @param movedTo where it leads for good
 * @param good when it worked last
 */
public record WayShown(
    String what,
    String word,
    @Nullable String address,
    String use,
    String version,
    String ground,
    String state,
    @Nullable String movedTo,
    @Nullable Instant tried,
    @Nullable Instant good) {

  private static final String LIBRARY = "library";

  /** The text is here already, in a version. */
  public static WayShown here(String version) {
    String ground = "your group has it here";
    String state = AddressState.WORKS;
    return new WayShown(
        "here", "read here", null, "page", version, ground, state, null, null, null);
  }

  public static WayShown of(TextWay way, AddressState state) {
    return new WayShown(
        way.what().name().toLowerCase(Locale.ROOT).replace('_', '-'),
        way.what().word(),
        way.address().isEmpty() ? null : way.address(),
        way.use().name().toLowerCase(Locale.ROOT),
        way.version().word(),
        way.ground(),
        state.state(),
        state.movedTo(),
        state.tried(),
        state.good());
  }

  /** The group's library, asked by its link resolver; nobody tries what it answers. */
  public static WayShown library(String name, String address) {
    String ground = (name.isEmpty() ? "your library" : name) + " says whether it has it";
    return new WayShown(
        LIBRARY,
        "at your library",
        address,
        "about",
        "",
        ground,
        AddressState.NOT_TRIED,
        null,
        null,
        null);
  }

  /** With more to say of it. */
  public WayShown with(String more) {
    return new WayShown(
        what, word, address, use, version, ground + "; " + more, state, movedTo, tried, good);
  }

  /** Whether where it leads is tried from time to time. */
  public boolean canBeTried() {
    return address != null && !what.equals(LIBRARY);
  }

  /** Whether it leads nowhere, as far as anybody knows. */
  public boolean isDead() {
    return state.equals(AddressState.DEAD);
  }
}
