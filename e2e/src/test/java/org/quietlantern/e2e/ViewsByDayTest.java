package org.quietlantern.e2e;

import com.microsoft.playwright.options.ColorScheme;
import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class ViewsByDayTest {
  @DisplayName("WCAG 2.2 AA on every view by day, and nothing runs out at the side at 390 px")
  @Test
  void walk() {
    Views.walk(ColorScheme.LIGHT);
  }
}
