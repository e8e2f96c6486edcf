package org.quietlantern.bench;

import static java.util.stream.Collectors.toSet;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import org.quietlantern.core.watch.Memory;

/** Compares what members were answered with what the database holds in the end. */
final class SoakChecks {
  private final Connection database;
  private final List<String> differences = new ArrayList<>();

  SoakChecks(Connection database) {
    this.database = database;
  }

  /** A sentence for each thing that is not as it must be. */
  List<String> differences() {
    return differences;
  }

  /** Answers how many marks and keeps were compared. */
  int member(SoakMember member) throws SQLException {
    Map<String, String> marks = new HashMap<>();
    rows(
        """
        select coalesce(c.pid, p.pid), e.what from lamp l
        join membership m on m.id = l.membership join account a on a.id = m.account
        join review_event e on e.id = l.event
        join publication p on p.id = e.publication left join publication c on c.id = p.canonical
        where a.email = ? order by e.id
        """,
        member.email(),
        row -> marks.put(row.get(0), row.get(1)));
    Set<String> pile = new LinkedHashSet<>();
    rows(
        """
        select coalesce(c.pid, p.pid) from item i
        join folder f on f.id = i.folder join membership m on m.id = f.owner
        join account a on a.id = m.account
        join publication p on p.id = i.publication left join publication c on c.id = p.canonical
        where a.email = ?
        """,
        member.email(),
        row -> pile.add(row.get(0)));
    int compared =
        compare(member.marks(), (id, mark) -> same(member, id, mark, marks.getOrDefault(id, "")));
    Map<String, String> kept = new TreeMap<>();
    member.pile().forEach((id, in) -> kept.put(id, in ? "kept" : ""));
    return compared
        + compare(kept, (id, in) -> same(member, id, in, pile.contains(id) ? "kept" : ""));
  }

  /** Publications that turned out to be one work with another one are left out. */
  private int compare(Map<String, String> wanted, BiConsumer<String, String> with)
      throws SQLException {
    Set<String> joined = new LinkedHashSet<>();
    rows(
        """
        select p.pid from publication p where p.canonical is not null
        union select c.pid from publication c join publication p on p.canonical = c.id where '' = ?
        """,
        "",
        row -> joined.add(row.get(0)));
    int compared = 0;
    for (Map.Entry<String, String> one : wanted.entrySet()) {
      if (!joined.contains(one.getKey())) {
        with.accept(one.getKey(), one.getValue());
        compared++;
      }
    }
    return compared;
  }

  private void same(SoakMember member, String publication, String wanted, String is) {
    if (!wanted.equals(is)) {
      differences.add(
          "%s, %s: answered “%s”, holds “%s”".formatted(member.email(), publication, wanted, is));
    }
  }

  /** Everything that a search finds now is remembered by its alert, and was announced once. */
  int alert(String alert, List<String> found) throws SQLException {
    Set<Integer> ids = new LinkedHashSet<>();
    rows(
        "select id from publication where pid = any(string_to_array(?, ','))",
        String.join(",", found),
        row -> ids.add(Integer.valueOf(row.get(0))));
    try (PreparedStatement statement =
        database.prepareStatement("select memory from alert where pid = ?")) {
      statement.setString(1, alert);
      try (ResultSet row = statement.executeQuery()) {
        row.next();
        Memory memory = Memory.read(row.getBytes(1));
        Set<Integer> lost =
            ids.stream().filter(id -> !memory.remembersAny(List.of(id))).collect(toSet());
        if (!lost.isEmpty()) {
          differences.add("alert %s never found %s".formatted(alert, lost));
        }
      }
    }
    return ids.size();
  }

  /** A number that a query gives. */
  long number(String sql) throws SQLException {
    List<String> one = new ArrayList<>();
    rows(sql + " where '' = ?", "", row -> one.add(row.get(0)));
    return Long.parseLong(one.get(0));
  }

  void expect(String what, long is, long wanted) {
    if (is != wanted) {
      differences.add("%s: %d, not %d".formatted(what, is, wanted));
    }
  }

  private void rows(String sql, String argument, java.util.function.Consumer<List<String>> each)
      throws SQLException {
    try (PreparedStatement statement = database.prepareStatement(sql)) {
      statement.setString(1, argument);
      try (ResultSet rows = statement.executeQuery()) {
        while (rows.next()) {
          List<String> row = new ArrayList<>();
          for (int n = 1; n <= rows.getMetaData().getColumnCount(); n++) {
            row.add(rows.getString(n));
          }
          each.accept(row);
        }
      }
    }
  }
}
