package org.quietlantern.server.platform.start;

import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says it in two sentences instead of a page of places in the code. */
public final class StartRefusedAnalyzer extends AbstractFailureAnalyzer<StartRefused> {
  @Override
  protected FailureAnalysis analyze(Throwable failure, StartRefused cause) {
    return new FailureAnalysis(cause.getMessage(), cause.todo(), cause);
  }
}
