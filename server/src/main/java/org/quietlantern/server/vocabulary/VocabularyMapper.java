package org.quietlantern.server.vocabulary;

import java.util.List;
import java.util.stream.IntStream;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.core.vocabulary.Concept;
import org.quietlantern.core.vocabulary.OtherStatement;

@Mapper
interface VocabularyMapper {
  record Row(
      String scheme,
      String uri,
      String label,
      String[] names,
      String[] broader,
      String[] related,
      String note,
      String[] aspects,
      boolean retired,
      String[] replacedBy,
      String[] former,
      String[] saidAs,
      String[] saidIn,
      String[] said) {
    static Row of(Concept c) {
      return new Row(
          c.scheme(),
          c.uri(),
          c.label(),
          array(c.names()),
          array(c.broader()),
          array(c.related()),
          c.note(),
          array(c.aspects()),
          c.fate().retired(),
          array(c.fate().replacedBy()),
          array(c.fate().former()),
          array(c.said().stream().map(OtherStatement::property).toList()),
          array(c.said().stream().map(OtherStatement::language).toList()),
          array(c.said().stream().map(OtherStatement::text).toList()));
    }

    private static String[] array(List<String> values) {
      return values.toArray(String[]::new);
    }

    Concept concept() {
      return new Concept(
          uri,
          scheme,
          label,
          List.of(names),
          List.of(broader),
          List.of(related),
          note,
          List.of(aspects),
          new Concept.Fate(retired, List.of(replacedBy), List.of(former)),
          IntStream.range(0, said.length)
              .mapToObj(i -> new OtherStatement(saidAs[i], saidIn[i], said[i]))
              .toList());
    }
  }

  @Select(
      """
      select scheme, uri, label, names, broader, related, note, aspects, retired, replaced_by,
        former, said_as, said_in, said
      from concept order by scheme, lower(label), id
      """)
  List<Row> all();

  @Delete("delete from concept where scheme = any(#{schemes})")
  void forget(String[] schemes);

  @Insert(
      """
      <script>
      insert into concept (scheme, uri, label, names, broader, related, note, aspects, retired,
        replaced_by, former, said_as, said_in, said)
      values
      <foreach collection='rows' item='row' separator=','>
        (#{row.scheme}, #{row.uri}, #{row.label}, #{row.names}, #{row.broader}, #{row.related},
         #{row.note}, #{row.aspects}, #{row.retired}, #{row.replacedBy}, #{row.former},
         #{row.saidAs}, #{row.saidIn}, #{row.said})
      </foreach>
      on conflict (uri) do nothing
      </script>
      """)
  void add(List<Row> rows);
}
