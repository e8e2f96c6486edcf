package org.quietlantern.e2e;

import java.util.function.UnaryOperator;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** The prepared demo and a browser, for all tests of a class. */
final class Browsing implements BeforeAllCallback, AfterAllCallback {
  private final UnaryOperator<Lantern> furnish;
  private Lantern lantern;
  private Chromium chromium;

  Browsing() {
    this(UnaryOperator.identity());
  }

  /** {@code furnish}: what is done to the demo before the first test. */
  Browsing(UnaryOperator<Lantern> furnish) {
    this.furnish = furnish;
  }

  @Override
  public void beforeAll(ExtensionContext context) {
    lantern = furnish.apply(Lantern.prepared());
    chromium = new Chromium();
  }

  @Override
  public void afterAll(ExtensionContext context) {
    if (chromium != null) {
      chromium.close();
    }
    if (lantern != null) {
      lantern.close();
    }
  }

  Lantern lantern() {
    return lantern;
  }

  /** Somebody who has not signed in. */
  Person stranger() {
    return new Person(chromium.browser(), lantern);
  }

  /** A demo member, by given name. */
  Person person(String given) {
    return stranger().enter(given);
  }
}
