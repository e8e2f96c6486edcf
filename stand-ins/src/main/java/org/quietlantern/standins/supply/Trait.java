package org.quietlantern.standins.supply;

/** In what a source says less of a work than it could, or says it badly. */
public enum Trait {
  CAPITALS,
  INITIALS,
  NO_PAGES,
  NO_ABSTRACT,
  NO_HEADINGS,
  NO_DATE,
  ONLY_YEAR,
  ONLY_MONTH
}
