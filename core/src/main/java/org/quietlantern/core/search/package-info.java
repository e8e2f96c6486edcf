/**
 * Searching the catalogue. {@link org.quietlantern.core.search.CatalogueIndex} is a Lucene copy of
 * it, {@link org.quietlantern.core.search.Snapshot} one state of that copy in which a compiled
 * strategy is counted, listed, matched and explained. The same compiled query serves searches and
 * alerts.
 *
 * <p>Whoever comes here looks for one of these:
 *
 * <ul>
 *   <li><b>From text to words</b>: the package {@code analysis}.
 *   <li><b>What the index has</b>: {@code IndexFields} names the fields, {@code Documents} fills
 *       them from an {@code IndexEntry}, {@code CatalogueIndex} takes changes in. {@code Columns}
 *       and {@code PropertyColumns} read values back, segment by segment, once.
 *   <li><b>From a strategy to a query</b>: {@code StrategyCompiler} goes through the lines, {@code
 *       TermCompiler} and {@code TermQueries} through the words of a line, {@code LimitPredicate}
 *       through limits. {@code Widener} and {@code HeadingWidener} add other forms and other names
 *       before; {@code Lexicon} knows which words there are. What is held comes from a {@code
 *       Library}; what counts depend on besides, from a {@code SearchContext}.
 *   <li><b>From a query to a set</b>: {@code Sets} with {@code PostingsCache}; arithmetic on {@code
 *       DocSet}s is what makes counts of lines cheap. {@code TimeLimit} ends what takes too long.
 *   <li><b>The first thousand</b>: {@code Relevance} with {@code TermStrength}, other {@code
 *       Order}s by columns.
 *   <li><b>Counted besides</b>: {@code LineCounts}, {@code Breakdown} with {@code RangeBars},
 *       {@code BySource}, {@code Comparison}, {@code Unheaded}.
 *   <li><b>Help</b>: {@code LineHelp}, {@code WaysOut}, {@code Suggestions}, {@code Passage},
 *       {@code SimilarPublications}; {@code Explainer} and {@code Highlighter} say why a
 *       publication is here, from {@code MatchingTerms}, the words that can make one match.
 * </ul>
 *
 * <p>They share one package because nearly all of it is closed to the outside: {@code Snapshot}
 * stands in the middle, is made of all of them and is asked by all of them.
 */
package org.quietlantern.core.search;
