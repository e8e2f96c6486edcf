package org.quietlantern.server.platform;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.URI;
import java.net.URISyntaxException;
import java.net.UnknownHostException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicReference;
import javax.net.ssl.SSLHandshakeException;
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
import org.apache.hc.core5.http.ClassicHttpResponse;
import org.apache.hc.core5.http.ContentType;
import org.apache.hc.core5.http.Header;
import org.apache.hc.core5.http.HttpStatus;
import org.apache.hc.core5.http.io.HttpClientResponseHandler;
import org.apache.hc.core5.http.io.entity.FileEntity;
import org.apache.hc.core5.http.io.entity.StringEntity;
import org.apache.hc.core5.io.CloseMode;
import org.apache.hc.core5.util.TimeValue;
import org.apache.hc.core5.util.Timeout;
import org.quietlantern.core.publication.Text;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * The one way out. Refuses addresses that are not public (after looking the name up, so that no
 * name can hide one), follows few redirects and those under the same rules, and bounds time and
 * size. When the server stops, whatever is being fetched ends at once.
 */
@Component
public class Outbound implements SmartLifecycle, AutoCloseable {
  /** How the refusal of an address ends that is not public. */
  public static final String NOT_PUBLIC = "is not a public address";

  private static final int LARGEST = 64 * 1024 * 1024;

  /** How often one answer may lead to another address. */
  private static final int MOST_MOVES = 3;

  /** How long it is looked at how an answer begins. */
  private static final Duration GLANCE = Duration.ofSeconds(5);

  private static final RequestConfig USUAL =
      RequestConfig.custom().setResponseTimeout(Timeout.ofSeconds(30)).build();

  private final CloseableHttpClient client;
  private final List<String> allowed;
  private final Duration longest;
  private final ScheduledExecutorService watch =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "outbound-watch");
            thread.setDaemon(true);
            return thread;
          });
  private volatile boolean closing;

  Outbound(LanternProperties properties) {
    this.allowed = properties.outboundAllowed();
    this.longest = properties.outboundTime();
    this.client =
        HttpClients.custom()
            .disableRedirectHandling()
            .disableCookieManagement()
            .disableAutomaticRetries()
            .setUserAgent("QuietLantern/1")
            .setDefaultRequestConfig(USUAL)
            .setConnectionManager(
                PoolingHttpClientConnectionManagerBuilder.create()
                    .setDnsResolver(new PublicOnly())
                    .setDefaultConnectionConfig(
                        ConnectionConfig.custom()
                            .setConnectTimeout(Timeout.ofSeconds(10))
                            // One that the other side has closed meanwhile is not used again.
                            .setValidateAfterInactivity(TimeValue.ZERO_MILLISECONDS)
                            .build())
                    .build())
            .build();
  }

  /** Reads an answer while it streams in. */
  public interface Reading<T> {
    T read(InputStream body) throws IOException;
  }

  /** An answer; {@code movedTo}: where the address has moved to for good (301, 308), if it has. */
  public record Answer<T>(T value, Optional<URI> movedTo) {}

  /** The server is stopping; what was asked for says nothing about the other side. */
  public static final class Closing extends IOException {
    private static final long serialVersionUID = 1;

    Closing() {
      super("the server is stopping");
    }
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

  /** Fetches; anything but 200, in the end, is an {@link IOException} that says so. */
  public <T> Answer<T> get(URI address, Reading<T> reading) throws IOException {
    return get(address, longest, reading);
  }

  /** The same for somebody who waits: {@code most} is how long one answer may take. */
  public <T> Answer<T> get(URI address, Duration most, Reading<T> reading) throws IOException {
    return follow(
        address, at -> send(new HttpGet(at), most, response -> answer(response, 200, reading)));
  }

  /**
   * Fetches what may be here already (RFC 9110, 13.1): what is read is 200, or 304 without a body;
   * anything else, in the end, is an {@link IOException} that says so.
   *
   * @param fields sent along, to whichever address it is led to
   */
  public <T> Answer<T> getIfNew(URI address, Map<String, String> fields, Telling<T> telling)
      throws IOException {
    return follow(
        address,
        at -> {
          HttpGet request = new HttpGet(at);
          fields.forEach(request::setHeader);
          return send(
              request,
              longest,
              response -> {
                Told told = told(response);
                return response.getCode() == HttpStatus.SC_NOT_MODIFIED
                    ? new Step<>(telling.read(told), Optional.empty(), false)
                    : answer(
                        response,
                        200,
                        body -> telling.read(new Told(told.code(), told.fields(), body)));
              });
        });
  }

  private interface Asking<T> {
    Step<T> ask(URI at) throws IOException;
  }

  private static <T> Answer<T> follow(URI address, Asking<T> asking) throws IOException {
    URI at = address;
    Optional<URI> movedTo = Optional.empty();
    boolean forGood = true;
    for (int moves = 0; ; moves++) {
      Step<T> step = asking.ask(at);
      if (step.elsewhere().isEmpty()) {
        return new Answer<>(step.value(), movedTo);
      }
      at = elsewhere(at, step.elsewhere().get());
      if (moves == MOST_MOVES) {
        throw new IOException("is led on and on, last to " + at);
      }
      forGood &= step.forGood();
      movedTo = forGood ? Optional.of(at) : movedTo;
    }
  }

  /**
   * Where a redirect leads (RFC 9110, 15.4): to the web, and never from a safe way to an open one.
   */
  private static URI elsewhere(URI from, String location) throws IOException {
    try {
      URI to = from.resolve(new URI(location));
      boolean isWeb = "https".equals(to.getScheme()) || "http".equals(to.getScheme());
      boolean keepsSafe = !"https".equals(from.getScheme()) || "https".equals(to.getScheme());
      if (isWeb && keepsSafe && to.getHost() != null) {
        return to;
      }
    } catch (URISyntaxException noAddress) {
      // Told below, as every other place that nothing may be fetched from.
    }
    throw new IOException("leads to a place that is not followed: " + Text.atMost(200, location));
  }

  /**
   * How an answer begins.
   *
   * @param code in the end, after what it was led to
   * @param type media type, without parameters; empty if it does not say
   * @param beginning of its body
   */
  public record Peeked(int code, String type, byte[] beginning, Optional<URI> movedTo) {}

  /** Looks at an address, whatever it answers; the rest of a long answer is not waited for. */
  public Peeked peek(URI address, int most) throws IOException {
    Answer<Peeked> answer = follow(address, at -> begin(at, most));
    Peeked seen = answer.value();
    return new Peeked(seen.code(), seen.type(), seen.beginning(), answer.movedTo());
  }

  private Step<Peeked> begin(URI address, int most) throws IOException {
    HttpGet request = new HttpGet(address);
    AtomicReference<Step<Peeked>> seen = new AtomicReference<>();
    try {
      send(
          request,
          longest,
          response -> {
            seen.set(beginning(response, most));
            // What follows would be read to its end before the connection is used again.
            request.abort();
            return Boolean.TRUE;
          });
    } catch (IOException broken) {
      if (seen.get() == null) {
        throw broken;
      }
    }
    return seen.get();
  }

  private static Step<Peeked> beginning(ClassicHttpResponse response, int most) throws IOException {
    int code = response.getCode();
    String location = header(response, "Location");
    if (code / 100 == 3 && !location.isEmpty()) {
      return new Step<>(null, Optional.of(location), code == 301 || code == 308);
    }
    String type = header(response, "Content-Type").replaceFirst(";.*", "").strip();
    byte[] body =
        response.getEntity() == null
            ? new byte[0]
            : beginning(response.getEntity().getContent(), most);
    Peeked seen = new Peeked(code, type.toLowerCase(Locale.ROOT), body, Optional.empty());
    return new Step<>(seen, Optional.empty(), false);
  }

  /** What comes in a few seconds. */
  private static byte[] beginning(InputStream body, int most) throws IOException {
    long end = System.nanoTime() + GLANCE.toNanos();
    ByteArrayOutputStream beginning = new ByteArrayOutputStream();
    byte[] piece = new byte[8192];
    int read = 0;
    while (read >= 0 && beginning.size() < most && System.nanoTime() < end) {
      read = body.read(piece, 0, Math.min(piece.length, most - beginning.size()));
      beginning.write(piece, 0, Math.max(0, read));
    }
    return beginning.toByteArray();
  }

  private static String header(ClassicHttpResponse response, String name) {
    Header header = response.getFirstHeader(name);
    return header == null || header.getValue() == null ? "" : header.getValue();
  }

  /** Tells something to an address that answers 204. */
  public void post(URI address) throws IOException {
    send(new HttpPost(address), longest, response -> answer(response, 204, body -> body));
  }

  /** Sends a form and reads what is answered with 200 or 201. */
  public <T> T post(URI address, String form, Reading<T> reading) throws IOException {
    HttpPost request = new HttpPost(address);
    request.setEntity(new StringEntity(form, ContentType.APPLICATION_FORM_URLENCODED));
    return send(
        request,
        longest,
        response -> answer(response, response.getCode() == 201 ? 201 : 200, reading).value());
  }

  /**
   * What is asked of a server that one has a name at.
   *
   * @param fields of its head
   * @param text of its body; absent where there is none, or a file
   * @param file its body
   */
  public record Ask(
      String method,
      URI address,
      Map<String, String> fields,
      @Nullable String text,
      @Nullable Path file) {
    /** Without its fields: they may hold a password. */
    @Override
    public String toString() {
      return method + " " + address;
    }
  }

  /** An answer, whatever its number; {@code fields}: of its head, by names in lower case. */
  public record Told(int code, Map<String, String> fields, InputStream body) {}

  /** Reads an answer, whatever its number. */
  public interface Telling<T> {
    T read(Told told) throws IOException;
  }

  /**
   * Asks, and follows nothing: whatever the answer is, it is the reader's.
   *
   * @param most how long it may take; absent: as long as all that is fetched
   */
  public <T> T ask(Ask ask, @Nullable Duration most, Telling<T> telling) throws IOException {
    HttpUriRequestBase request = new HttpUriRequestBase(ask.method(), ask.address());
    ask.fields().forEach(request::setHeader);
    if (ask.file() != null) {
      request.setEntity(new FileEntity(ask.file().toFile(), null));
      // A server that refuses need not be sent the file first.
      request.setConfig(RequestConfig.copy(USUAL).setExpectContinueEnabled(true).build());
    } else if (ask.text() != null) {
      request.setEntity(new StringEntity(ask.text(), ContentType.APPLICATION_XML));
    }
    return send(request, most == null ? longest : most, response -> telling.read(told(response)));
  }

  private static Told told(ClassicHttpResponse response) throws IOException {
    Map<String, String> fields = new HashMap<>();
    for (Header one : response.getHeaders()) {
      fields.put(one.getName().toLowerCase(Locale.ROOT), one.getValue());
    }
    InputStream body =
        response.getEntity() == null
            ? InputStream.nullInputStream()
            : response.getEntity().getContent();
    return new Told(response.getCode(), fields, body);
  }

  /** One exchange: a value, or where to ask instead. */
  private record Step<T>(@Nullable T value, Optional<String> elsewhere, boolean forGood) {}

  private <T> T send(
      HttpUriRequestBase request, Duration most, HttpClientResponseHandler<T> handler)
      throws IOException {
    AtomicBoolean isOver = new AtomicBoolean();
    ScheduledFuture<?> end =
        watch.schedule(
            () -> {
              isOver.set(true);
              request.abort();
            },
            most.toMillis(),
            TimeUnit.MILLISECONDS);
    try {
      return client.execute(request, handler);
    } catch (IOException | RuntimeException failed) {
      if (closing) {
        throw new Closing();
      }
      if (isOver.get()) {
        throw new IOException("the answer did not end in " + most.toSeconds() + " s", failed);
      }
      if (failed instanceof SSLHandshakeException) {
        throw new IOException(
            "nobody whom this machine trusts vouches for its certificate", failed);
      }
      throw failed;
    } finally {
      end.cancel(false);
    }
  }

  private static <T> Step<T> answer(ClassicHttpResponse response, int expected, Reading<T> reading)
      throws IOException {
    int code = response.getCode();
    Header location = response.getFirstHeader("Location");
    switch (code) {
      case 503, 429 -> throw new ComeBackLater(code, response.getFirstHeader("Retry-After"));
      case 301, 302, 307, 308 -> {
        if (location != null && expected == 200) {
          return new Step<>(null, Optional.of(location.getValue()), code == 301 || code == 308);
        }
      }
      default -> {
        // Told below.
      }
    }
    if (code != expected) {
      throw new IOException("answered " + code + " instead of " + expected);
    }
    InputStream body =
        response.getEntity() == null
            ? InputStream.nullInputStream()
            : new Bounded(response.getEntity().getContent(), LARGEST);
    return new Step<>(reading.read(body), Optional.empty(), false);
  }

  @Override
  public void start() {
    // Ready since it was made.
  }

  /** Before whatever waits for an answer. */
  @Override
  public void stop() {
    close();
  }

  @Override
  public boolean isRunning() {
    return !closing;
  }

  @Override
  public int getPhase() {
    return Integer.MAX_VALUE;
  }

  @Override
  public void close() {
    closing = true;
    watch.shutdownNow();
    client.close(CloseMode.IMMEDIATE);
  }

  private final class PublicOnly implements DnsResolver {
    @Override
    public InetAddress[] resolve(String host) throws UnknownHostException {
      InetAddress[] addresses = SystemDefaultDnsResolver.INSTANCE.resolve(host);
      if (!allowed.contains(host)
          && Arrays.stream(addresses).anyMatch(a -> !PublicAddress.isPublic(a))) {
        throw new UnknownHostException(host + " " + NOT_PUBLIC);
      }
      return addresses;
    }

    @Override
    public String resolveCanonicalHostname(String host) {
      return host;
    }
  }

  /** Whether a host may be asked although its address is not public. */
  public boolean isAllowed(String host) {
    return allowed.contains(host);
  }

  /** Whether something typed or told is an address of the web. */
  public static boolean isWeb(String address) {
    return address.matches("https?://[\\x21-\\x7e&&[^\"<>\\\\^`{|}]]+");
  }
}
