package org.quietlantern.e2e;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;

/** Debian's Chromium, without a window and without wishes to speak to anybody. */
final class Chromium implements AutoCloseable {
  private static final List<String> FLAGS =
      List.of(
          "--headless",
          "--no-sandbox",
          "--disable-gpu",
          "--disable-quic",
          "--no-first-run",
          "--disable-background-networking",
          "--disable-component-update",
          "--disable-sync");
  private final Playwright playwright = Playwright.create();
  private final Browser browser =
      playwright
          .chromium()
          .launch(new BrowserType.LaunchOptions().setExecutablePath(program()).setArgs(FLAGS));

  Chromium() {
    // Patience, not tolerance: a busy machine may take its time, what is expected stays the same.
    PlaywrightAssertions.setDefaultAssertionTimeout(60_000);
  }

  Browser browser() {
    return browser;
  }

  private static Path program() {
    return Arrays.stream(System.getenv("PATH").split(":"))
        .map(folder -> Path.of(folder, "chromium"))
        .filter(Files::isExecutable)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("Chromium is not installed"));
  }

  @Override
  public void close() {
    browser.close();
    playwright.close();
  }
}
