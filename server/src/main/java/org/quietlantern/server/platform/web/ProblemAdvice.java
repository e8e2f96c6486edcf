package org.quietlantern.server.platform.web;

import java.net.URI;
import java.util.List;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Away;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Turns what went wrong into problem+json (RFC 9457). Types are {@code urn:quietlantern:...}. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(Refusal refusal) {
    ProblemDetail problem = problem(refusal.status(), refusal.type(), refusal.getMessage());
    refusal.details().forEach(problem::setProperty);
    ResponseEntity.BodyBuilder answer = ResponseEntity.status(refusal.status());
    if (refusal.type().equals("busy")) {
      answer.header(HttpHeaders.RETRY_AFTER, "2");
    }
    if (refusal.status() == HttpStatus.TOO_MANY_REQUESTS
        && refusal.details().get("seconds") instanceof Number seconds) {
      answer.header(HttpHeaders.RETRY_AFTER, seconds.toString());
    }
    return answer.body(problem);
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> alreadyThere(DuplicateKeyException twice) {
    LOG.info("two at once: {}", twice.getMessage());
    return ResponseEntity.status(HttpStatus.CONFLICT)
        .body(
            problem(
                HttpStatus.CONFLICT,
                "already-there",
                "Somebody did the same at the same moment. Look again and repeat it if needed."));
  }

  @ExceptionHandler
  ResponseEntity<ProblemDetail> failed(RuntimeException failure) {
    if (Away.isCauseOf(failure)) {
      LOG.warn("the database is away: {}", failure.getMessage());
      return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
          .header(HttpHeaders.RETRY_AFTER, "5")
          .body(
              problem(
                  HttpStatus.SERVICE_UNAVAILABLE,
                  "away",
                  "The database does not answer at the moment. Try again in a few seconds."));
    }
    return ResponseEntity.internalServerError().body(noted(failure));
  }

  private static ProblemDetail noted(Exception failure) {
    LOG.error("a request failed", failure);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "failed",
        "Something went wrong here; it is noted as %s. Look whether it was done before you repeat it."
            .formatted(MDC.get(RequestLog.ID)));
  }

  /** What Spring refuses by itself; where it is our fault, it is noted as all others are. */
  @Override
  protected @Nullable ResponseEntity<Object> handleExceptionInternal(
      Exception failure,
      @Nullable Object body,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    Object said = status.is5xxServerError() ? noted(failure) : body;
    return super.handleExceptionInternal(failure, said, headers, status, request);
  }

  /** A body that ended at its bound is told so; others cannot be read as what they should be. */
  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException broken,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    Throwable cause = NestedExceptionUtils.getMostSpecificCause(broken);
    HttpStatus told =
        cause instanceof BoundedBody.TooLarge
            ? HttpStatus.CONTENT_TOO_LARGE
            : cause instanceof BoundedBody.TooSlow
                ? HttpStatus.REQUEST_TIMEOUT
                : HttpStatus.BAD_REQUEST;
    String sentence = told == HttpStatus.BAD_REQUEST ? unreadable(cause) : cause.getMessage();
    headers.set(HttpHeaders.CONNECTION, "close");
    return ResponseEntity.status(told).headers(headers).body(problem(told, "body", sentence));
  }

  /** Names the field where it is known. */
  private static String unreadable(Throwable cause) {
    String field = cause instanceof DatabindException broken ? field(broken.getPath()) : "";
    return field.isEmpty()
        ? "What was sent cannot be read; it should be JSON as the description of the API has it."
        : "“" + field + "” is missing or cannot be read as what it should be.";
  }

  private static String field(List<JacksonException.Reference> path) {
    StringBuilder field = new StringBuilder();
    for (JacksonException.Reference step : path) {
      if (step.getPropertyName() == null) {
        field.append('[').append(step.getIndex()).append(']');
      } else {
        field.append(field.isEmpty() ? "" : ".").append(step.getPropertyName());
      }
    }
    return Text.atMost(200, field.toString());
  }

  private static ProblemDetail problem(HttpStatus status, String type, String sentence) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
    problem.setType(URI.create("urn:quietlantern:" + type));
    return problem;
  }
}
