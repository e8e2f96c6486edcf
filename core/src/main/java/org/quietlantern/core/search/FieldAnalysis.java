package org.quietlantern.core.search;

import org.apache.lucene.analysis.Analyzer;
import org.apache.lucene.analysis.DelegatingAnalyzerWrapper;
import org.quietlantern.core.search.analysis.Analysis;

/** Chooses the analysis by the name of the index's field. */
final class FieldAnalysis extends DelegatingAnalyzerWrapper {
  FieldAnalysis() {
    super(PER_FIELD_REUSE_STRATEGY);
  }

  @Override
  protected Analyzer getWrappedAnalyzer(String fieldName) {
    return fieldName.endsWith(IndexFields.exact("")) ? Analysis.EXACT : Analysis.STEMMED;
  }
}
