package org.quietlantern.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.InetAddress;
import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.quietlantern.standins.Outside;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Literature;

class OutboundTest {
  @ParameterizedTest
  @ValueSource(
      strings = {
        "127.0.0.1",
        "10.1.2.3",
        "172.16.0.1",
        "192.168.1.1",
        "169.254.1.1",
        "100.64.0.1",
        "0.0.0.0",
        "198.18.0.1",
        "192.0.0.8",
        "224.0.0.1",
        "255.255.255.255",
        "::1",
        "fe80::1",
        "fd00::1",
        "64:ff9b::7f00:1",
        "2002:7f00:1::",
        "::ffff:10.0.0.1",
        "2001::1"
      })
  void whatIsNotPublicIsRefused(String address) throws IOException {
    assertThat(PublicAddress.isPublic(InetAddress.getByName(address))).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"93.184.215.14", "2a00:1450::1", "64:ff9b::5db8:d70e"})
  void thePublicIsLetThrough(String address) throws IOException {
    assertThat(PublicAddress.isPublic(InetAddress.getByName(address))).isTrue();
  }

  private static Outbound outbound(List<String> allowed) {
    return new Outbound(
        new LanternProperties(
            Path.of("."),
            "",
            false,
            Duration.ofMinutes(1),
            Duration.ofSeconds(2),
            "",
            "",
            "https://names.example/",
            allowed,
            new LanternProperties.Mail("", "none", "", "", "lantern@x.example"),
            new LanternProperties.Demo(false, null, "", 0)));
  }

  @Test
  void loopbackIsFetchedOnlyWhereItIsAllowedByName() throws IOException {
    try (Outside outside = new Outside(0, Literature.of(1, new Extent(20, 0, 0)))) {
      URI address = URI.create(outside.source("night-index") + "?verb=Identify");
      try (Outbound closed = outbound(List.of());
          Outbound open = outbound(List.of("127.0.0.1"))) {
        assertThatThrownBy(() -> closed.get(address, body -> body))
            .isInstanceOf(IOException.class)
            .hasMessageContaining("not a public address");
        int fetched = open.get(address, body -> body.readAllBytes().length).value();
        assertThat(fetched).isPositive();
        assertThatThrownBy(() -> open.get(URI.create(outside.address() + "/no"), body -> body))
            .hasMessage("answered 404 instead of 200");
      }
    }
  }
}
