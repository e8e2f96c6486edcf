package org.quietlantern.server.platform;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import org.apache.hc.client5.http.DnsResolver;
import org.apache.hc.client5.http.SystemDefaultDnsResolver;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.classic.methods.HttpPost;
import org.apache.hc.client5.http.classic.methods.HttpUriRequestBase;
import org.apache.hc.client5.http.config.ConnectionConfig;
import org.apache.hc.client5.http.config.RequestConfig;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.client5.http.impl.io.PoolingHttpClientConnectionManagerBuilder;
import org.apache.hc.core5.http.Header;
import org.apache.hc.core5.util.Timeout;
import org.springframework.stereotype.Component;

/**
 * The one way out. Refuses addresses that are not public (after looking the name up, so that no
 * name can hide one), follows no redirects, and bounds time and size.
 */
@Component
public class Outbound implements AutoCloseable {
  private static final int LARGEST = 64 * 1024 * 1024;
  private final CloseableHttpClient client;
  private final List<String> allowed;

  Outbound(LanternProperties properties) {
    this.allowed = properties.outboundAllowed();
    this.client =
        HttpClients.custom()
            .disableRedirectHandling()
            .disableCookieManagement()
            .disableAutomaticRetries()
            .setUserAgent("QuietLantern/1")
            .setDefaultRequestConfig(
                RequestConfig.custom().setResponseTimeout(Timeout.ofSeconds(30)).build())
            .setConnectionManager(
                PoolingHttpClientConnectionManagerBuilder.create()
                    .setDnsResolver(new PublicOnly())
                    .setDefaultConnectionConfig(
                        ConnectionConfig.custom().setConnectTimeout(Timeout.ofSeconds(10)).build())
                    .build())
            .build();
  }

  /** Reads an answer while it streams in. */
  public interface Reading<T> {
    T read(InputStream body) throws IOException;
  }

  /** The other side has no time now (RFC 9110, 15.6.4; RFC 6585, 4). */
  public static final class ComeBackLater extends IOException {
    private static final long serialVersionUID = 1;
    private static final Duration USUAL = Duration.ofMinutes(10);
    private static final Duration LONGEST = Duration.ofDays(1);
    private final Duration wait;

    ComeBackLater(int code, @Nullable Header retryAfter) {
      super("answered " + code + ", to be asked again later");
      this.wait = retryAfter == null ? USUAL : wait(retryAfter.getValue());
    }

    /** In seconds; a date is taken as the usual wait. */
    private static Duration wait(String seconds) {
      if (!seconds.strip().matches("\\d{1,9}")) {
        return USUAL;
      }
      Duration wanted = Duration.ofSeconds(Long.parseLong(seconds.strip()));
      return wanted.compareTo(LONGEST) > 0 ? LONGEST : wanted;
    }

    /** How long it asks to be left alone. */
    public Duration forHowLong() {
      return wait;
    }
  }

  /** Fetches; anything but 200 is an {@link IOException} that says so. */
  public <T> T get(URI address, Reading<T> reading) throws IOException {
    return send(new HttpGet(address), 200, reading);
  }

  /** Tells something to an address that answers 204. */
  public void post(URI address) throws IOException {
    send(new HttpPost(address), 204, body -> body);
  }

  private <T> T send(HttpUriRequestBase request, int expected, Reading<T> reading)
      throws IOException {
    return client.execute(
        request,
        response -> {
          if (response.getCode() == 503 || response.getCode() == 429) {
            throw new ComeBackLater(response.getCode(), response.getFirstHeader("Retry-After"));
          }
          if (response.getCode() != expected) {
            throw new IOException("answered " + response.getCode() + " instead of " + expected);
          }
          return reading.read(
              response.getEntity() == null
                  ? InputStream.nullInputStream()
                  : new Bounded(response.getEntity().getContent(), LARGEST));
        });
  }

  @Override
  public void close() throws IOException {
    client.close();
  }

  private final class PublicOnly implements DnsResolver {
    @Override
    public InetAddress[] resolve(String host) throws UnknownHostException {
      InetAddress[] addresses = SystemDefaultDnsResolver.INSTANCE.resolve(host);
      if (!allowed.contains(host)
          && Arrays.stream(addresses).anyMatch(a -> !PublicAddress.isPublic(a))) {
        throw new UnknownHostException(host + " is not a public address");
      }
      return addresses;
    }

    @Override
    public String resolveCanonicalHostname(String host) {
      return host;
    }
  }
}
