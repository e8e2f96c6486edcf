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

  /**
   * How a folder's bibliography stands.
   *
   * @param style absent where nobody set it, with {@code language} and {@code byHand}
   * @param chapters names of its headings in order
   * @param works row numbers, as they are known now, of those that stand below one, and {@code
   *     below}: which
   */
  record HowRow(
      @Nullable String style,
      @Nullable String language,
      @Nullable Boolean byHand,
      String[] chapters,
      String[] works,
      String[] below) {}

  @Select(
      """
      select b.style, b.language, b.by_hand,
        coalesce((select array_agg(c.name order by c.n, c.id) from chapter c
          where c.folder = f.id), '{}') as chapters,
        coalesce(e.works, '{}') as works, coalesce(e.below, '{}') as below
      from folder f left join bibliography b on b.folder = f.id
      left join lateral (
        select array_agg(coalesce(p.canonical, p.id)::text order by e.publication) as works,
          array_agg(c.name order by e.publication) as below
        from chapter_entry e join chapter c on c.id = e.chapter
        join publication p on p.id = e.publication where e.folder = f.id) e on true
      where f.id = #{folder}
      """)
  HowRow how(int folder);

  @Insert(
      """
      insert into bibliography (folder, style, language, by_hand)
      values (#{row.folder}, #{row.style}, #{row.language}, #{row.byHand})
      on conflict (folder) do update
      set style = excluded.style, language = excluded.language, by_hand = excluded.by_hand
      """)
  void set(@Param("row") SetRow row);
}
