package org.quietlantern.core.search;

/** How often laws over made-up searches are tried. */
final class Laws {
  private Laws() {}

  /**
   * So many times; where changed code is tested again and again ({@code ./lantern test mutants}) a
   * share of it, by the property {@code laws.share}.
   */
  static int times(int many) {
    return Math.max(5, many / Integer.getInteger("laws.share", 1));
  }
}
