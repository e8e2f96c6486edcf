package org.quietlantern.core.query;

import java.util.Arrays;
import java.util.Optional;

/**
 * What a publication can be limited by and what a result divides over. The words are fixed: they
 * stand in stored strategies, in CQL and in addresses.
 */
public enum Property {
  DATE("date", Shape.RANGE, "when it first appeared, as a preprint or in print"),
  ACCESS("access", Shape.ONE, "whether your group can read it today, and how"),
  PEER_REVIEWED(
      "peer",
      Shape.ONE,
      "whether its journal had articles reviewed (refereed) when it appeared; it promises nothing of"
          + " the single article"),
  KIND("kind", Shape.ONE, "what sort of publication it is"),
  STUDY("study", Shape.TREE, "what kind of study it reports"),
  STATE("state", Shape.ONE, "its latest form: final, accepted, or a preprint only"),
  JOURNAL("journal", Shape.ONE, "the journal or book that it appeared in"),
  PUBLISHER("publisher", Shape.ONE, "who published it"),
  LANGUAGE("language", Shape.ONE, "the language of its text"),
  SOURCE("source", Shape.MANY, "which source supplied it"),
  TAXON("taxon", Shape.TREE, "the organisms studied, each with everything below it"),
  REGION("region", Shape.TREE, "where it was studied, each with everything inside it"),
  STAGE("stage", Shape.TREE, "the stage of life studied"),
  SEX("sex", Shape.MANY, "the sex of the animals studied"),
  PAGES("pages", Shape.RANGE, "how long it is"),
  FIGURES("figures", Shape.ONE, "whether it has figures, where a source says so"),
  REFERENCES("references", Shape.ONE, "whether the works that it cites are known here"),
  ABSTRACT("abstract", Shape.ONE, "whether an abstract was supplied"),
  CAME("came", Shape.RANGE, "when it came into this catalogue, whenever it was published"),
  HEADING("heading", Shape.MANY, "the controlled terms that it carries"),
  KEYWORD("keyword", Shape.MANY, "the free words that its authors chose"),
  AUTHOR("author", Shape.MANY, "the people and bodies who wrote it");

  /** How many values a publication has, and how they are chosen. */
  public enum Shape {
    /** At most one value, out of a list. */
    ONE,
    /** Any number of values. */
    MANY,
    /** Any number of values, each of which takes in all below it. */
    TREE,
    /** A number or a time: chosen from one end to the other. */
    RANGE
  }

  private final String word;
  private final Shape shape;
  private final String meaning;

  Property(String word, Shape shape, String meaning) {
    this.word = word;
    this.shape = shape;
    this.meaning = meaning;
  }

  public String word() {
    return word;
  }

  public Shape shape() {
    return shape;
  }

  /** One sentence without its full stop, for the place where the limit stands (rule L8). */
  public String meaning() {
    return meaning;
  }

  /** Headings, keywords and authors are words of a line; the rest are limits. */
  public boolean isLimit() {
    return compareTo(HEADING) < 0;
  }

  /** Whether values may overlap, so that the bars add up to more than the result. */
  public boolean overlaps() {
    return shape == Shape.MANY || shape == Shape.TREE;
  }

  public static Optional<Property> named(String word) {
    return Arrays.stream(values()).filter(p -> p.word.equals(word)).findFirst();
  }
}
