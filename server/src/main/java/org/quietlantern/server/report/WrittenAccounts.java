package org.quietlantern.server.report;

import java.util.List;
import org.quietlantern.core.report.Document;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** All accounts by name: {@code q:ID}, {@code trail:FROM:TO} and so on (docs/formats.md). */
@Service
@Transactional(readOnly = true)
class WrittenAccounts {
  private final List<Account> all;

  WrittenAccounts(List<Account> all) {
    this.all = all;
  }

  Document of(Member who, String name) {
    return all.stream()
        .filter(account -> account.prefixes().stream().anyMatch(name::startsWith))
        .findFirst()
        .orElseThrow(Refusal::unknown)
        .of(who, name);
  }
}
