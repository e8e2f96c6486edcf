package org.quietlantern.server.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.quietlantern.server.platform.Refusal;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.access.AccessDeniedHandler;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;

/** Answers those who are not signed in, or whose page is too old to write. */
@Component
class Gatekeeper implements AuthenticationEntryPoint, AccessDeniedHandler {
  private final HandlerExceptionResolver problems;

  Gatekeeper(@Qualifier("handlerExceptionResolver") HandlerExceptionResolver problems) {
    this.problems = problems;
  }

  @Override
  public void commence(
      HttpServletRequest request, HttpServletResponse response, AuthenticationException why) {
    refuse(
        request,
        response,
        HttpStatus.UNAUTHORIZED,
        "signed-out",
        "Nobody is signed in. Sign in, in another window if something is typed here.");
  }

  @Override
  public void handle(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException why) {
    refuse(
        request,
        response,
        HttpStatus.FORBIDDEN,
        "stale-page",
        "This page is older than your visit. Load it again and repeat what you did.");
  }

  /** As if there were nothing. */
  void hide(HttpServletRequest request, HttpServletResponse response) {
    problems.resolveException(request, response, null, Refusal.unknown());
  }

  private void refuse(
      HttpServletRequest request,
      HttpServletResponse response,
      HttpStatus status,
      String type,
      String sentence) {
    problems.resolveException(request, response, null, new Refusal(status, type, sentence));
  }
}
