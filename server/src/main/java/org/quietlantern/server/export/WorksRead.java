package org.quietlantern.server.export;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.quietlantern.core.publication.Publication;
import org.quietlantern.server.catalogue.Publications;
import org.quietlantern.server.catalogue.StoredPublication;
import org.quietlantern.server.catalogue.Viewer;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.mending.Mends;
import org.quietlantern.server.platform.LanternProperties;
import org.springframework.stereotype.Component;

/** Works as they leave: as the group reads them, with their stable links. */
@Component
class WorksRead {
  private final Publications publications;
  private final Mends mends;
  private final LanternProperties properties;

  /** {@code id}: its row number. */
  record Work(int id, Publication publication, String link) {}

  WorksRead(Publications publications, Mends mends, LanternProperties properties) {
    this.publications = publications;
    this.mends = mends;
    this.properties = properties;
  }

  /** In their order, each once; those that went meanwhile are left out. */
  List<Work> of(Member who, List<Integer> works) {
    Map<Integer, StoredPublication> stored = new HashMap<>();
    publications.byId(Viewer.of(who), works).forEach(one -> stored.put(one.asked(), one));
    Map<Integer, List<Mends.Mended>> mended =
        mends.of(who, stored.values().stream().map(StoredPublication::id).toList());
    Set<Integer> seen = new HashSet<>();
    List<Work> read = new ArrayList<>();
    for (Integer work : works) {
      StoredPublication one = stored.get(work);
      if (one != null && seen.add(one.id())) {
        read.add(new Work(one.id(), Mends.read(one, mended), properties.stableLink(one.pid())));
      }
    }
    return read;
  }
}
