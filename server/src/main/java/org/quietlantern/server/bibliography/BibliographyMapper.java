package org.quietlantern.server.bibliography;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.quietlantern.server.platform.Nullable;

@Mapper
interface BibliographyMapper {
  /** {@code style}: empty for the group's. */
  record SetRow(int folder, String style, String language, boolean byHand) {}

  @Select("select folder, style, language, by_hand from bibliography where folder = #{folder}")
  @Nullable
  SetRow find(int folder);

  @Insert(
      """
      insert into bibliography (folder, style, language, by_hand)
      values (#{row.folder}, #{row.style}, #{row.language}, #{row.byHand})
      on conflict (folder) do update
      set style = excluded.style, language = excluded.language, by_hand = excluded.by_hand
      """)
  void set(@Param("row") SetRow row);
}
