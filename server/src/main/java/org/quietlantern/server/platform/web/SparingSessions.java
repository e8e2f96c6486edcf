package org.quietlantern.server.platform.web;

import java.time.Duration;
import java.time.Instant;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;

/**
 * Sessions whose last use is written once a minute at most: an open page looks for changes every
 * few seconds, and each look would write a row. A session that was ended is gone at once, as
 * before: each request still reads it.
 */
final class SparingSessions<S extends Session>
    implements FindByIndexNameSessionRepository<SparingSessions.Visit<S>> {
  private static final Duration ONCE_IN = Duration.ofMinutes(1);
  private final FindByIndexNameSessionRepository<S> stored;

  SparingSessions(FindByIndexNameSessionRepository<S> stored) {
    this.stored = stored;
  }

  @Override
  public Visit<S> createSession() {
    return new Visit<>(stored.createSession(), true);
  }

  @Override
  public void save(Visit<S> visit) {
    if (visit.changed) {
      stored.save(visit.inner);
      visit.changed = false;
    }
  }

  @Override
  public Visit<S> findById(String id) {
    S found = stored.findById(id);
    return found == null ? null : new Visit<>(found, false);
  }

  @Override
  public void deleteById(String id) {
    stored.deleteById(id);
  }

  @Override
  public Map<String, Visit<S>> findByIndexNameAndIndexValue(String name, String value) {
    return stored.findByIndexNameAndIndexValue(name, value).entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, one -> new Visit<>(one.getValue(), false)));
  }

  /** A session that knows whether it has to be written. */
  static final class Visit<S extends Session> implements Session {
    private final S inner;
    private boolean changed;

    private Visit(S inner, boolean changed) {
      this.inner = inner;
      this.changed = changed;
    }

    @Override
    public void setLastAccessedTime(Instant time) {
      if (changed || !time.isBefore(inner.getLastAccessedTime().plus(ONCE_IN))) {
        inner.setLastAccessedTime(time);
        changed = true;
      }
    }

    @Override
    public String getId() {
      return inner.getId();
    }

    @Override
    public String changeSessionId() {
      changed = true;
      return inner.changeSessionId();
    }

    @Override
    @SuppressWarnings("TypeParameterUnusedInFormals") // as the interface has it
    public <T> T getAttribute(String name) {
      return inner.getAttribute(name);
    }

    @Override
    public Set<String> getAttributeNames() {
      return inner.getAttributeNames();
    }

    @Override
    public void setAttribute(String name, Object value) {
      changed = true;
      inner.setAttribute(name, value);
    }

    @Override
    public void removeAttribute(String name) {
      changed = true;
      inner.removeAttribute(name);
    }

    @Override
    public Instant getCreationTime() {
      return inner.getCreationTime();
    }

    @Override
    public Instant getLastAccessedTime() {
      return inner.getLastAccessedTime();
    }

    @Override
    public void setMaxInactiveInterval(Duration interval) {
      changed = true;
      inner.setMaxInactiveInterval(interval);
    }

    @Override
    public Duration getMaxInactiveInterval() {
      return inner.getMaxInactiveInterval();
    }

    @Override
    public boolean isExpired() {
      return inner.isExpired();
    }
  }
}
