package org.quietlantern.e2e;

import org.junit.jupiter.api.DisplayName;
import org.junit.jupiter.api.Test;

class ViewsTest {
  @DisplayName("WCAG 2.2 AA on every view, at 390 px, at 200 % zoom, and by night")
  @Test
  void walk() {
    Views.walk();
  }
}
