package org.quietlantern.core.search;

/** How often laws over made-up searches are tried. */
final class Laws {
  private Laws() {}

  private static final int SHARE = Integer.getInteger("laws.share", 1);

  /**
   * So many times; where changed code is tested again and again ({@code ./lantern test mutants}) a
   * share of it, by the property {@code laws.share}.
   */
  static int times(int many) {
    return Math.max(5, many / SHARE);
  }

  /** What has to be met at least, where it is so much when all are tried. */
  static int least(int many) {
    return SHARE == 1 ? many : many / SHARE / 2;
  }
}
