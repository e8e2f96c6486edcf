package org.quietlantern.server.request;

import java.util.List;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.catalogue.Publications;
import org.springframework.stereotype.Component;

/** What acts on copy requests are about: the publication, or the request where there is none. */
@Component
class RequestSubjects {
  private final Publications publications;

  RequestSubjects(Publications publications) {
    this.publications = publications;
  }

  Subject of(RequestMapper.Row row) {
    return row.publication() == null
        ? new Subject(Subject.Of.REQUEST, row.pid())
        : new Subject(
            Subject.Of.PUBLICATION,
            publications.ofAnybody(List.of(row.publication())).get(0).pid());
  }
}
