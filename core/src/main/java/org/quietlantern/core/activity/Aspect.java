package org.quietlantern.core.activity;

/** What of a thing an act can change so that it is told how it was before. */
public enum Aspect {
  NAME("name"),
  PURPOSE("what it is for"),
  PLACE("lies in", "folder"),
  SEEN_BY("seen by"),
  GROUP_MAY("the group may"),
  NOTE("why"),
  FOUND("publications found"),
  DOCUMENTED("documented"),
  RHYTHM("rhythm"),
  HOUR("hour"),
  LAMPS("lamps asked for"),
  COVERED_BY("covered by"),
  KEPT_IN("kept in", "folder"),
  STATE("state"),
  MARK("mark"),
  WORDS("words"),
  UNTIL("until"),
  OWNER("who looks it up", "person"),
  OUTCOME("what came of it"),
  ROLE("role"),
  AWAY("away"),
  ZONE("time zone"),
  INVITING("who asks people in"),
  REASONS("reasons for passing"),
  CITED_IN("cited in"),
  CITED_AS("cited as"),
  ORDER("order"),
  HEADINGS("headings"),
  WIDENED("tells what is widened");

  private final String words;
  private final String names;

  Aspect(String words) {
    this(words, "");
  }

  Aspect(String words, String names) {
    this.words = words;
    this.names = names;
  }

  /** As a reader is told it. */
  public String words() {
    return words;
  }

  /** The sort of thing whose public id its sides are; empty where they are text. */
  public String names() {
    return names;
  }
}
