package org.quietlantern.server.platform.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Instant;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.quietlantern.server.platform.Hash;
import org.quietlantern.server.platform.Refusal;
import org.springframework.http.HttpHeaders;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/**
 * Who is signed in. A session holds the number of the account, and what the browser calls itself.
 */
@Component
public class SessionAccount implements SecurityContextRepository {
  private static final String ATTRIBUTE = "account";
  private static final String AGENT = "agent";
  private static final int LONGEST_AGENT = 300;
  private static final int SHOWN = 16;
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
    String agent = Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
    session.setAttribute(AGENT, agent.substring(0, Math.min(LONGEST_AGENT, agent.length())));
    session.setAttribute(
        FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME, Integer.toString(account));
  }

  /**
   * Where somebody is signed in.
   *
   * @param id made of the session's, which nobody is shown
   * @param agent how the browser called itself, as it did; empty where it said nothing
   * @param here whether it is the visit of the request
   */
  public record VisitShown(String id, String agent, Instant began, Instant last, boolean here) {}

  /** Of the account of a request, the last used first. */
  public List<VisitShown> visits(HttpServletRequest request) {
    String here = request.getSession(false).getId();
    return own().stream()
        .sorted(Comparator.comparing(Session::getLastAccessedTime).reversed())
        .map(
            visit ->
                new VisitShown(
                    shown(visit),
                    visit.getAttributeOrDefault(AGENT, ""),
                    visit.getCreationTime(),
                    visit.getLastAccessedTime(),
                    visit.getId().equals(here)))
        .toList();
  }

  private List<? extends Session> own() {
    return sessions.findByPrincipalName(Integer.toString(current())).values().stream()
        .filter(visit -> !visit.isExpired())
        .toList();
  }

  private static String shown(Session visit) {
    return HexFormat.of().formatHex(Hash.of(visit.getId())).substring(0, SHOWN);
  }

  /** Ends a visit of whoever is signed in; unknown where it is none of theirs. */
  public void end(String visit) {
    sessions.deleteById(
        own().stream()
            .filter(one -> shown(one).equals(visit))
            .findFirst()
            .orElseThrow(Refusal::unknown)
            .getId());
  }

  /** Ends all visits of an account but the one of a request. */
  public void endOthers(HttpServletRequest request) {
    String here = request.getSession(false).getId();
    own().stream().map(Session::getId).filter(id -> !id.equals(here)).forEach(sessions::deleteById);
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
