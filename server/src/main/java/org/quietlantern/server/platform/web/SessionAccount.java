package org.quietlantern.server.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Who is signed in. The session holds the number of the account and nothing else. */
@Component
public class SessionAccount implements SecurityContextRepository {
  private static final String ATTRIBUTE = "account";
  private final FindByIndexNameSessionRepository<? extends Session> sessions;

  SessionAccount(FindByIndexNameSessionRepository<? extends Session> sessions) {
    this.sessions = sessions;
  }

  /** The account of the running request; the request has passed the gate, so there is one. */
  public static int current() {
    return (Integer) SecurityContextHolder.getContext().getAuthentication().getPrincipal();
  }

  /** Starts a session of its own, whatever was there before. */
  public void signIn(HttpServletRequest request, int account) {
    signOut(request);
    HttpSession session = request.getSession(true);
    session.setAttribute(ATTRIBUTE, account);
    session.setAttribute(
        FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, Integer.toString(account));
  }

  /** Ends all visits of an account, wherever they are. */
  public void signOutEverywhere(int account) {
    sessions.findByPrincipalName(Integer.toString(account)).keySet().forEach(sessions::deleteById);
  }

  public void signOut(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    if (session != null) {
      session.invalidate();
    }
  }

  @Override
  @Deprecated
  public SecurityContext loadContext(HttpRequestResponseHolder holder) {
    return load(holder.getRequest());
  }

  private static SecurityContext load(HttpServletRequest request) {
    return accountOf(request)
        .map(account -> new UsernamePasswordAuthenticationToken(account, null, List.of()))
        .map(SecurityContextImpl::new)
        .orElseGet(SecurityContextImpl::new);
  }

  /** The account of a request that anybody may make. */
  public static Optional<Integer> accountOf(HttpServletRequest request) {
    return Optional.ofNullable(request.getSession(false))
        .map(session -> (Integer) session.getAttribute(ATTRIBUTE));
  }

  @Override
  public void saveContext(
      SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
    // Signing in and out write the session themselves; nothing else changes it.
  }

  @Override
  public boolean containsContext(HttpServletRequest request) {
    return accountOf(request).isPresent();
  }
}
