package org.quietlantern.server.platform.web;

import java.net.URI;
import org.quietlantern.server.platform.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns what went wrong into problem+json (RFC 9457). Types are {@code urn:quietlantern:...}. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

  @ExceptionHandler
  ResponseEntity<ProblemDetail> refused(Refusal refusal) {
    ProblemDetail problem = problem(refusal.status(), refusal.type(), refusal.getMessage());
    refusal.details().forEach(problem::setProperty);
    return ResponseEntity.status(refusal.status()).body(problem);
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
    LOG.error("a request failed", failure);
    return ResponseEntity.internalServerError()
        .body(
            problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "failed",
                "Something went wrong here. Nothing was changed; it may work again in a moment."));
  }

  private static ProblemDetail problem(HttpStatus status, String type, String sentence) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
    problem.setType(URI.create("urn:quietlantern:" + type));
    return problem;
  }
}
