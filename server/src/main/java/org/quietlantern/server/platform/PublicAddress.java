package org.quietlantern.server.platform;

import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Arrays;

/** Tells addresses of the open internet from all others (RFC 6890, RFC 6052, RFC 3056). */
final class PublicAddress {
  private PublicAddress() {}

  static boolean isPublic(InetAddress address) {
    if (address.isAnyLocalAddress()
        || address.isLoopbackAddress()
        || address.isLinkLocalAddress()
        || address.isSiteLocalAddress()
        || address.isMulticastAddress()) {
      return false;
    }
    return address instanceof Inet6Address v6
        ? isPublicV6(v6.getAddress())
        : isPublicV4(address.getAddress());
  }

  private static boolean isPublicV4(byte[] b) {
    int first = b[0] & 0xff;
    int second = b[1] & 0xff;
    boolean shared = first == 100 && (second & 0xc0) == 64;
    boolean special = first == 192 && second == 0 && b[2] == 0;
    boolean benchmark = first == 198 && (second & 0xfe) == 18;
    return first != 0 && first < 240 && !shared && !special && !benchmark;
  }

  private static boolean isPublicV6(byte[] b) {
    boolean unique = (b[0] & 0xfe) == 0xfc;
    boolean wellKnown = startsWith(b, 0x00, 0x64, 0xff, 0x9b);
    boolean sixToFour = startsWith(b, 0x20, 0x02);
    boolean teredo = startsWith(b, 0x20, 0x01, 0x00, 0x00);
    if (wellKnown) {
      return isPublicV4Part(b, 12);
    }
    return !unique && !teredo && (!sixToFour || isPublicV4Part(b, 2));
  }

  private static boolean isPublicV4Part(byte[] b, int from) {
    try {
      return isPublic(InetAddress.getByAddress(Arrays.copyOfRange(b, from, from + 4)));
    } catch (UnknownHostException impossible) {
      throw new IllegalStateException(impossible);
    }
  }

  private static boolean startsWith(byte[] b, int... prefix) {
    for (int i = 0; i < prefix.length; i++) {
      if ((b[i] & 0xff) != prefix[i]) {
        return false;
      }
    }
    return true;
  }
}
