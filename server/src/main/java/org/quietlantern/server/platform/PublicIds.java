package org.quietlantern.server.platform;

import java.security.SecureRandom;
import org.quietlantern.core.link.PublicId;
import org.springframework.stereotype.Component;

/** Makes public ids that nobody can guess. */
@Component
public class PublicIds {
  private final SecureRandom random = new SecureRandom();

  public String next() {
    return PublicId.random(random).text();
  }
}
