package org.quietlantern.core.query;

import java.util.Locale;

/**
 * What is wrong with typed text, or worth pointing out, and where.
 *
 * @param number how many, where the problem is one of too many; else 0
 */
public record Problem(Code code, Span span, String found, int number) {
  public Problem(Code code, Span span, String found) {
    this(code, span, found, 0);
  }

  /** How a problem is told. {@code %s} stands for the text found. */
  public enum Code {
    EMPTY("there is nothing to search for yet", true),
    QUOTE_UNCLOSED("this quotation mark is never closed", true),
    QUOTE_EMPTY("there is no word between these quotation marks", true),
    BRACKET_UNCLOSED("this bracket is never closed", true),
    BRACKET_UNOPENED("this bracket closes nothing", true),
    BRACKET_EMPTY("there is nothing between these brackets", true),
    TOO_DEEP("brackets inside brackets go no deeper than 40", true),
    TOO_LONG("a line ends at 2,000 characters; this is where it would be cut", true),
    NOTHING_BEFORE("“%s” needs something before it", true),
    NOTHING_AFTER("“%s” needs something after it", true),
    TWO_OPERATORS("“%s” follows another joining word; one of them has to go", true),
    RULED_OUT_TWICE("“not” is said twice; say it once", true),
    FIELD_ALONE("“%s” needs a word, a phrase or a bracket after it", true),
    HEADING_ALONE("“%s” needs the name of a heading after it, in quotation marks", true),
    CUT_TOO_SHORT("“%s”: a cut word needs at least three letters before its *", true),
    CUT_INSIDE("“%s”: * may only end a word", true),
    CUT_LEADING("“%s”: a word may not start with an open letter", true),
    CUT_TOO_WIDE("“%s” covers %,d words; at most 2,000 are searched together", true),
    YEAR_UNREADABLE(
        "“%s” is not a year: four digits, 2020-2024, 2021-, or >2020; months stand in the limit Years",
        true),
    CQL_ENDS("something is missing here", true),
    CQL_UNEXPECTED("“%s” cannot stand here", true),
    CQL_NOT_SPOKEN("“%s” is a part of CQL that is not understood here", true),
    CQL_UNKNOWN_INDEX("“%s” is no index; docs/formats.md lists them", true),
    CQL_MIXED_LINE("“%s”: limits and held strategies stand in brackets of their own", true),
    CQL_UNUSABLE("%s", true),
    CQL_TOO_MANY("more than 2,000 conditions are joined in one bracket", true),
    CQL_TOO_LONG("CQL ends at 60,000 characters; this is where it would be cut", true),
    HELD_UNKNOWN("the strategy “%s” is not there", true),
    HELD_FOLDER_UNKNOWN(
        "the folder that this line follows is not there, or is not open to the whole group", true),
    HELD_IN_A_CIRCLE("“%s” holds itself, or too many strategies stand inside each other", true),
    HELD_TOO_LARGE("with all that stands in it, “%s” makes this more than 2,000 lines", true),
    HELD_REFUSED("“%s” cannot be searched; open it to see why", true),
    RANGE_REVERSED("the ends were the wrong way round and were swapped", false),
    CHOSEN_AND_OUT("“%s” is both chosen and ruled out; ruled out wins", false),
    UNKNOWN_FIELD("“%s” is not a field and was read as a word", false),
    MIXED_JOINS("and/or without brackets is read from left to right: %s", false),
    ONLY_RULES_OUT("every line rules out: it is taken from the whole catalogue", false),
    HEADING_UNKNOWN("“%s” is the name of no heading", false),
    HEADING_RENAMED("this heading is called “%s” today", false),
    HEADING_REPLACED("“%s” was replaced; what took its place is searched as well", false),
    HEADING_RETIRED("“%s” is no longer given to new publications", false),
    ASPECT_UNKNOWN("“%s” is no aspect of a heading", false),
    MATCHES_NOTHING("“%s” is in no publication", false);

    private final String sentence;
    private final boolean refuses;

    Code(String sentence, boolean refuses) {
      this.sentence = sentence;
      this.refuses = refuses;
    }

    /** Whether a line with this problem cannot be searched; the others are only pointed out. */
    public boolean refuses() {
      return refuses;
    }
  }

  /** For people, with the place as they count it. */
  public String sentence() {
    String said = String.format(Locale.ENGLISH, code.sentence, found, number);
    return code == Code.ONLY_RULES_OUT ? said : "column " + span.column() + ": " + said;
  }
}
