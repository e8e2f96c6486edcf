package org.quietlantern.e2e;

import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class ViewsByNightTest {
  @DisplayName("WCAG 2.2 AA on every view by night, and at 200 % zoom")
  @Test
  void walk() {
    Views.walk(ColorScheme.DARK);
  }
}
