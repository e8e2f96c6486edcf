package org.quietlantern.server.address;

import java.time.Duration;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.platform.SystemTime;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Remembers which addresses outside people wanted, and how they answered. */
@Service
public class Addresses {
  private static final Duration FRESH = Duration.ofDays(1);
  private final AddressMapper mapper;
  private final Calendar calendar;
  private final SystemTime system;

  Addresses(AddressMapper mapper, Calendar calendar, SystemTime system) {
    this.mapper = mapper;
    this.calendar = calendar;
    this.system = system;
  }

  /** Of each of them, in their order; one that nobody wanted yet is not tried. */
  @Transactional(readOnly = true)
  public Map<String, AddressState> states(Collection<String> urls) {
    Map<String, AddressState> states = new LinkedHashMap<>();
    urls.forEach(url -> states.put(url, AddressState.untried(url)));
    if (!states.isEmpty()) {
      mapper
          .states(states.keySet().toArray(String[]::new))
          .forEach(state -> states.put(state.url(), state));
    }
    return states;
  }

  /** Somebody looked at what they lead to; those not tried for a day are tried soon. */
  @Transactional
  public void want(Collection<String> urls) {
    if (!urls.isEmpty()) {
      mapper.want(urls.toArray(String[]::new), system.now(), calendar.now().minus(FRESH));
    }
  }
}
