package org.quietlantern.server.platform.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.regex.Pattern;
import org.quietlantern.server.platform.PublicIds;
import org.quietlantern.server.platform.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.HandlerMapping;

/**
 * The outermost door: one line in the log for each request, under a name that its answer carries
 * too ({@code Request-Id}), and a sentence for whatever goes wrong inside, wherever that is.
 * Addresses are logged by their form, so that no secret of a feed and nobody's words stand in a
 * log.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestLog extends OncePerRequestFilter {
  /** The name of the present request. */
  static final String ID = "request";

  private static final Logger LOG = LoggerFactory.getLogger("org.quietlantern.requests");

  /** Control characters, as addresses write them (RFC 3986, 2.1). */
  private static final Pattern NO_TEXT = Pattern.compile("%([01][0-9a-f]|7f)");

  private static final Pattern BROKEN = Pattern.compile("%(?![0-9a-f]{2})");
  private final HandlerExceptionResolver problems;
  private final PublicIds ids;

  RequestLog(
      @Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems, PublicIds ids) {
    this.problems = problems;
    this.ids = ids;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long start = System.nanoTime();
    String id = ids.next();
    response.setHeader("Request-Id", id);
    MDC.put(ID, id);
    try {
      if (isReadable(request)) {
        inside(request, response, chain);
      } else {
        problems.resolveException(
            request,
            response,
            null,
            new Refusal(
                HttpStatus.BAD_REQUEST, "address", "The address holds what cannot be text."));
      }
      LOG.info(
          "id={} method={} form={} status={} ms={}",
          id,
          request.getMethod(),
          form(request),
          response.getStatus(),
          (System.nanoTime() - start) / 1_000_000);
    } finally {
      MDC.remove(ID);
    }
  }

  private void inside(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    try {
      chain.doFilter(request, response);
    } catch (RuntimeException failed) {
      if (response.isCommitted()) {
        throw failed;
      }
      problems.resolveException(request, response, null, failed);
    }
  }

  private static boolean isReadable(HttpServletRequest request) {
    String query = request.getQueryString();
    String address =
        (request.getRequestURI() + (query == null ? "" : query)).toLowerCase(Locale.ROOT);
    return !NO_TEXT.matcher(address).find() && !BROKEN.matcher(address).find();
  }

  private static String form(HttpServletRequest request) {
    Object form = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
    return form == null ? "none" : form.toString();
  }
}
