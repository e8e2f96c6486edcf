package org.quietlantern.server.bringing;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.quietlantern.server.platform.Nullable;

/** The entries of what is brought in. */
@Mapper
interface BroughtEntryMapper {
  /** One as it was read; {@code works}: row numbers. */
  record NewEntry(
      int n,
      int file,
      int line,
      String identifier,
      String record,
      String shown,
      String reason,
      String found,
      String byKey,
      List<Integer> works,
      List<String> faults) {}

  /** {@code record}: empty where it is not asked for. */
  record Row(
      int n,
      int file,
      int line,
      String identifier,
      String record,
      String shown,
      String reason,
      String found,
      String byKey,
      Integer[] works,
      String[] faults,
      @Nullable String decision,
      @Nullable Integer decided,
      @Nullable String outcome,
      @Nullable Integer work,
      boolean known,
      @Nullable Integer itemReason,
      @Nullable Integer event) {}

  /** One of another file. */
  record Other(int n, String identifier, String record) {}

  /** What became of an entry. */
  record Outcome(
      int n,
      String outcome,
      @Nullable Integer work,
      boolean known,
      @Nullable Integer itemReason,
      @Nullable Integer event) {}

  /** What a member decided of an entry; {@code decided}: the work that it is. */
  record Decision(int n, @Nullable String decision, @Nullable Integer decided) {}

  /** How many there are; {@code undecided}: that wait for a decision. */
  record BroughtCounts(
      int all,
      int fresh,
      int here,
      int doubtful,
      int twice,
      int faulty,
      int undecided,
      int ready,
      int added,
      int joined,
      int there,
      int out,
      int failed,
      int returned,
      int stays) {}

  String COLUMNS =
      """
      select n, file, line, identifier, '' as record, shown::text as shown, reason, found, by_key,
        works, faults, decision, decided, outcome, work, known, item_reason, event
      from brought_entry
      """;

  /** What is taken next: all but what waits for a decision. */
  String READY = " outcome is null and not (found = 'doubtful' and decision is null) ";

  /** What was taken and is here. */
  String TAKEN = " outcome in ('added', 'joined', 'there') ";

  @Delete("delete from brought_entry where brought = #{brought} and file = #{file}")
  void removeOf(int brought, int file);

  /** An entry that is there already. */
  record There(int n, String identifier) {}

  /** Those of a file, in their order. */
  @Select(
      """
      select n, identifier from brought_entry
      where brought = #{brought} and file = #{file} order by n
      """)
  List<There> there(int brought, int file);

  @Select("select coalesce(max(n), 0) from brought_entry where brought = #{brought}")
  int last(int brought);

  /** {@code rows}: of {@link NewEntry}, as a JSON array. */
  @Insert(
      """
      insert into brought_entry
        (brought, n, file, line, identifier, record, shown, reason, found, by_key, works, faults)
      select #{brought}, n, file, line, identifier, record, shown::jsonb, reason, found, "byKey",
        works, faults
      from json_to_recordset(#{rows}::json) as r (n integer, file integer, line integer,
        identifier text, record text, shown text, reason text, found text, "byKey" text,
        works integer[], faults text[])
      """)
  void add(int brought, String rows);

  /** How many entries there are of each, in the order in which they are asked for. */
  @Select(
      """
      select count(n) as all,
        count(n) filter (where found = 'new') as fresh,
        count(n) filter (where found = 'here') as here,
        count(n) filter (where found = 'doubtful') as doubtful,
        count(n) filter (where found = 'twice') as twice,
        count(n) filter (where faults <> '{}') as faulty,
        count(n) filter (where found = 'doubtful' and decision is null and outcome is null)
          as undecided,
        count(n) filter (where outcome is null and not (found = 'doubtful' and decision is null)
          and decision is distinct from 'out') as ready,
        count(n) filter (where outcome = 'added') as added,
        count(n) filter (where outcome = 'joined') as joined,
        count(n) filter (where outcome = 'there') as there,
        count(n) filter (where outcome = 'out' or decision = 'out') as out,
        count(n) filter (where outcome = 'failed') as failed,
        count(n) filter (where outcome = 'returned') as returned,
        count(n) filter (where outcome = 'stays') as stays
      from unnest(#{broughts}::integer[]) with ordinality as asked (id, place)
      left join brought_entry on brought = asked.id
      group by asked.place order by asked.place
      """)
  List<BroughtCounts> counts(Integer[] broughts);

  /** {@code of}: what was found, {@code faulty}, an outcome, or empty for all. */
  @Select(
      COLUMNS
          + """
          where brought = #{brought} and (#{of} = '' or found = #{of} or outcome = #{of}
            or (#{of} = 'faulty' and faults <> '{}')
            or (#{of} = 'undecided' and found = 'doubtful' and decision is null
              and outcome is null)
            or (#{of} = 'out' and decision = 'out'))
          order by n limit #{most} offset #{from}
          """)
  List<Row> page(int brought, String of, int from, int most);

  @Select(COLUMNS + " where brought = #{brought} and n = any(#{ns}) and outcome is null order by n")
  List<Row> open(int brought, Integer[] ns);

  @Select(
      """
      select n from brought_entry
      where brought = #{brought} and found = #{found} and outcome is null order by n
      """)
  List<Integer> openOf(int brought, String found);

  /** {@code rows}: of {@link Decision}, as a JSON array. */
  @Update(
      """
      update brought_entry e set decision = r.decision, decided = r.decided
      from json_to_recordset(#{rows}::json) as r (n integer, decision text, decided integer)
      where e.brought = #{brought} and e.n = r.n and e.outcome is null
      """)
  void decide(int brought, String rows);

  @Update(
      """
      update brought_entry set outcome = 'out'
      where brought = #{brought} and outcome is null and decision = 'out'
      """)
  void leaveOut(int brought);

  /** What was taken back is as it was before it was taken. */
  @Update(
      """
      update brought_entry set outcome = null
      where brought = #{brought} and outcome in ('returned', 'failed', 'out')
      """)
  void again(int brought);

  /** With their records, of which the page has not many more letters than {@code letters}. */
  @Select(
      """
      select n, file, line, identifier, record, shown::text as shown, reason, found, by_key, works,
        faults, decision, decided, outcome, work, known, item_reason, event
      from (
        select *, sum(length(record)) over (order by n) - length(record) as before
        from (
          select * from brought_entry where brought = #{brought} and
      """
          + READY
          + """
          order by n limit #{most}) few) summed
      where before < #{letters} order by n
      """)
  List<Row> next(int brought, int most, int letters);

  /** Whether there is something to be taken. */
  @Select("select exists (select 1 from brought_entry where brought = #{brought} and" + READY + ")")
  boolean isReady(int brought);

  /** Entries of other files than one, with their records, from one on. */
  @Select(
      """
      select n, identifier, record from brought_entry
      where brought = #{brought} and file <> #{file} and n > #{after} order by n limit #{most}
      """)
  List<Other> others(int brought, int file, int after, int most);

  /** {@code rows}: of {@link Outcome}, as a JSON array. */
  @Update(
      """
      update brought_entry e set outcome = r.outcome, work = coalesce(r.work, e.work),
        known = r.known, item_reason = r."itemReason", event = r.event
      from json_to_recordset(#{rows}::json) as r (n integer, outcome text, work integer,
        known boolean, "itemReason" integer, event integer)
      where e.brought = #{brought} and e.n = r.n
      """)
  void note(int brought, String rows);

  /** What was taken and is to be taken back next; entries of one work stand together. */
  @Select(
      COLUMNS
          + " where brought = #{brought} and "
          + TAKEN
          + """
          order by work, n limit #{most}
          """)
  List<Row> toReturn(int brought, int most);

  /** One that is taken. */
  @Select(COLUMNS + " where brought = #{brought} and n = #{n} and " + TAKEN)
  Row taken(int brought, int n);

  /** Whether another entry than this one was taken as the same work. */
  @Select(
      """
      select exists (select 1 from brought_entry
        where brought = #{brought} and n <> #{n} and work = #{work} and
      """
          + TAKEN
          + ")")
  boolean hasTwin(int brought, int n, int work);

  /** Nothing became of it yet. */
  @Update(
      """
      update brought_entry set outcome = null, work = null, item_reason = null, event = null
      where brought = #{brought} and n = #{n}
      """)
  void reopen(int brought, int n);

  /** Those of some records that other files brought in, too, and that are here by them. */
  @Select(
      """
      select distinct e.identifier
      from brought_entry e join brought b on b.id = e.brought
      where b.grp = #{group} and b.id <> #{brought} and e.identifier = any(#{identifiers})
        and e.outcome in ('added', 'joined', 'there')
      """)
  List<String> broughtAgain(int group, int brought, String[] identifiers);
}
