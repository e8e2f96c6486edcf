package org.quietlantern.server.upkeep;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What is counted for whoever watches the machine. */
@Mapper
interface FiguresMapper {
  @Select(
      """
      select count(*) from source s where (
        select state = 'failed' from harvest h where h.source = s.id order by id desc limit 1)
      """)
  int failingSources();

  @Select("select count(*) from record_set_aside")
  int recordsSetAside();

  @Select(
      """
      select count(*) from alert a where a.state = 'watching' and (
        select error <> '' from alert_run r where r.alert = a.id order by id desc limit 1)
      """)
  int failingAlerts();
}
