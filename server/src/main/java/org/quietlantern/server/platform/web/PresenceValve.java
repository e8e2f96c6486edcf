package org.quietlantern.server.platform.web;

import jakarta.servlet.ServletException;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.quietlantern.server.platform.Presence;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Lets long work see that the connection of whoever asked has ended. Only the web server can tell;
 * a servlet learns it when it writes the answer, when the work is done.
 */
final class PresenceValve extends ValveBase {
  /** What the web server says of a connection that cannot be read: one byte, which is not there. */
  private static final int ENDED = 1;

  PresenceValve() {
    super(true);
  }

  @Configuration
  static class Installed {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> presenceValve() {
      return server -> server.addContextValves(new PresenceValve());
    }
  }

  @Override
  public void invoke(Request request, Response response) throws IOException, ServletException {
    org.apache.coyote.Request connection = request.getCoyoteRequest();
    Presence.begins(() -> hasEnded(connection));
    try {
      getNext().invoke(request, response);
    } finally {
      Presence.over();
    }
  }

  private static boolean hasEnded(org.apache.coyote.Request connection) {
    // A next request whose first byte came looks the same, but only the first time.
    for (int look = 0; look < 2; look++) {
      connection.action(ActionCode.AVAILABLE, true);
      if (connection.getAvailable() != ENDED) {
        return false;
      }
    }
    return true;
  }
}
