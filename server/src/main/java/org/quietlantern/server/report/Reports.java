package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.report.Document;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All reports by name: {@code q:ID}, {@code trail:FROM:TO} and so on (docs/formats.md). */
@Service
@Transactional(readOnly = true)
class Reports {
  private final List<Reporting> all;

  Reports(List<Reporting> all) {
    this.all = all;
  }

  Document of(Member who, String name) {
    return all.stream()
        .filter(report -> report.prefixes().stream().anyMatch(name::startsWith))
        .findFirst()
        .orElseThrow(Refusal::unknown)
        .of(who, name);
  }
}
