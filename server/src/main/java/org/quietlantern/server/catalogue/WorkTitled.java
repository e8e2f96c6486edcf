package org.quietlantern.server.catalogue;

/** A publication by its public id and its title. */
public record WorkTitled(String id, String title) {
  public static WorkTitled of(StoredPublication stored) {
    return new WorkTitled(stored.pid(), stored.publication().title());
  }
}
