package org.quietlantern.server.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.ConcurrentHashMap;
import org.quietlantern.server.platform.Refusal;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/**
 * Bodies have a bound in bytes and in time, and from one place only so many are read at once: a
 * body without an end, or one that drips, keeps nobody else waiting. Files have bounds of their
 * own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class BodyBounds extends OncePerRequestFilter {
  private static final int AT_ONCE = 64;
  private static final Bound SIGN_IN = new Bound(4 << 10, Duration.ofSeconds(10));
  private static final Bound ANY = new Bound(512 << 10, Duration.ofSeconds(10));
  private static final Bound HOLDINGS = new Bound(24 << 20, Duration.ofMinutes(5));
  private static final Bound LOAD = new Bound(4L << 30, Duration.ofHours(1));
  private static final Bound TEXT = new Bound(41 << 20, Duration.ofMinutes(5));
  private static final Bound BROUGHT = new Bound(100_000_000, Duration.ofMinutes(30));
  private static final Bound LIST = new Bound(4 << 20, Duration.ofMinutes(1));
  private static final Bound VOCABULARY = new Bound(56 << 20, Duration.ofMinutes(5));
  private final ConcurrentHashMap<String, Integer> reading = new ConcurrentHashMap<>();

  private final HandlerExceptionResolver problems;

  private record Bound(long bytes, Duration time) {}

  BodyBounds(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems) {
    this.problems = problems;
  }

  private static Bound bound(String path) {
    if (path.equals("/api/session")) {
      return SIGN_IN;
    }
    if (path.endsWith("/loads")) {
      return LOAD;
    }
    if (path.endsWith("/texts")) {
      return TEXT;
    }
    if (path.contains("/brought/") && path.contains("/files/")) {
      return BROUGHT;
    }
    if (path.endsWith("/reference-list")) {
      return LIST;
    }
    if (path.contains("/holdings/")
        || path.endsWith("/journals")
        || path.endsWith("/journals/look")) {
      return HOLDINGS;
    }
    return path.endsWith("/vocabulary") || path.endsWith("/vocabulary/look") ? VOCABULARY : ANY;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    Bound bound = bound(request.getRequestURI());
    if (request.getContentLengthLong() > bound.bytes()) {
      refuse(
          request,
          response,
          HttpStatus.CONTENT_TOO_LARGE,
          BoundedBody.TooLarge.sentence(bound.bytes()));
      return;
    }
    boolean hasBody =
        request.getContentLengthLong() > 0
            || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
    if (!hasBody) {
      chain.doFilter(request, response);
      return;
    }
    String origin = request.getRemoteAddr();
    if (reading.merge(origin, 1, Integer::sum) > AT_ONCE) {
      release(origin);
      response.setHeader(HttpHeaders.RETRY_AFTER, "1");
      refuse(
          request,
          response,
          HttpStatus.TOO_MANY_REQUESTS,
          "Too much is sent at once from where you are. Try again in a moment.");
      return;
    }
    BoundedBody body = new BoundedBody(request, bound.bytes(), bound.time(), () -> release(origin));
    try {
      chain.doFilter(body, response);
    } finally {
      body.done();
    }
  }

  private void release(String origin) {
    reading.computeIfPresent(origin, (o, n) -> n > 1 ? n - 1 : null);
  }

  private void refuse(
      HttpServletRequest request,
      HttpServletResponse response,
      HttpStatus status,
      String sentence) {
    // What is still to come of it is not waited for.
    response.setHeader(HttpHeaders.CONNECTION, "close");
    problems.resolveException(request, response, null, new Refusal(status, "body", sentence));
  }
}
