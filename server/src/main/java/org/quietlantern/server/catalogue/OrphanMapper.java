package org.quietlantern.server.catalogue;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Counts what should not be. */
@Mapper
interface OrphanMapper {
  /** Publications that can be found and that no record supplies. */
  @Select(
      """
      select count(*) from publication c
      where c.canonical is null and c.withdrawn is null and not exists (
        select 1 from publication p join source_record r on r.publication = p.id
        where (p.id = c.id or p.canonical = c.id) and not r.deleted)
      """)
  int withoutRecords();

  /** Publications that cannot be found although a record of their kind supplies them. */
  @Select(
      """
      select count(*) from publication c
      where c.canonical is null and c.withdrawn is not null and exists (
        select 1 from publication p join source_record r on r.publication = p.id
        join source s on s.id = r.source
        where (p.id = c.id or p.canonical = c.id) and not r.deleted
          and s.grp is not distinct from c.grp)
      """)
  int withdrawnWithRecords();

  /** Publications that were joined to one that is joined to another itself. */
  @Select(
      """
      select count(*) from publication p join publication c on c.id = p.canonical
      where c.canonical is not null
      """)
  int joinedTwice();
}
