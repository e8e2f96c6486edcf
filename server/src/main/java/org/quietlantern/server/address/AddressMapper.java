package org.quietlantern.server.address;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AddressMapper {
  @Select(
      "select url, state, moved_to, tried, good from address where url = any(#{urls}) order by url")
  List<AddressState> states(String[] urls);

  /** One that was tried since {@code old} is not tried again so soon. */
  @Insert(
      """
      insert into address (url, system_due)
      select distinct url, #{now}::timestamptz from unnest(#{urls}::text[]) url order by 1
      on conflict (url) do update set system_due = least(address.system_due, excluded.system_due)
      where address.tried is null or address.tried < #{old}
      """)
  int want(String[] urls, Instant now, Instant old);

  record Due(String url, int failures) {}

  @Select(
      """
      select url, failures from address where system_due <= #{now}
      order by system_due, url limit #{most}
      """)
  List<Due> due(Instant now, int most);

  record Tried(
      String url,
      String state,
      String movedTo,
      Instant now,
      Instant good,
      int failures,
      Instant due) {}

  @Update(
      """
      update address set state = coalesce(#{state}, state), moved_to = #{movedTo}, tried = #{now},
        good = coalesce(#{good}, good), failures = #{failures}, system_due = #{due}
      where url = #{url}
      """)
  void tried(Tried what);

  /** What nobody has wanted for so long that its state is out of date anyhow. */
  @Update("delete from address where tried < #{before}")
  int forget(Instant before);
}
