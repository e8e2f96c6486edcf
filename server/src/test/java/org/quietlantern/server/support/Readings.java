package org.quietlantern.server.support;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/** What can be read of a group: address to answer. */
public final class Readings {
  private static final String GROUP = "/api/groups/{group}";
  private static final int SHOWN = 200;

  private Readings() {}

  /**
   * Every reading of a group by some of its members.
   *
   * @param not patterns of addresses, as endpoints have them, that are left out
   */
  public static Map<String, String> of(
      TestApp app, World world, List<Client> readers, Pattern not) {
    Map<String, String> read = new TreeMap<>();
    for (Endpoints.Endpoint endpoint : Endpoints.of(app)) {
      boolean reads = endpoint.method().equals("GET") && endpoint.path().startsWith(GROUP);
      if (reads && !not.matcher(endpoint.path()).find()) {
        String address = world.fill(endpoint.path()) + world.query(endpoint);
        for (int n = 0; n < readers.size(); n++) {
          Client.Response answer = readers.get(n).get(address);
          read.put(n + " " + endpoint.path(), answer.status() + " " + answer.body());
        }
      }
    }
    return read;
  }

  /** Names what differs, from where it does. */
  public static List<String> differences(Map<String, String> wanted, Map<String, String> found) {
    List<String> differences = new ArrayList<>();
    found.forEach(
        (address, now) -> {
          String was = wanted.get(address);
          if (!now.equals(was)) {
            int from = Math.max(0, from(was, now) - 60);
            differences.add(
                "%s: was …%s, is …%s".formatted(address, cut(was, from), cut(now, from)));
          }
        });
    return differences;
  }

  private static int from(String one, String other) {
    int same = 0;
    while (same < Math.min(one.length(), other.length())
        && one.charAt(same) == other.charAt(same)) {
      same++;
    }
    return same;
  }

  private static String cut(String text, int from) {
    return text.substring(Math.min(from, text.length()), Math.min(text.length(), from + SHOWN));
  }
}
