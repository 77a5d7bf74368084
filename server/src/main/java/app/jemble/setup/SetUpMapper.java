package app.jemble.setup;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

@Mapper
interface SetUpMapper {

  @Select(
      """
      select exists (select from offered.letterhead where changed_by is not null)
          or (select count(*) from offered.letterhead) > 1
      """)
  boolean hasOwnLetterhead();

  /** Who is no colleague; counted no further than to the first. */
  @Select(
      """
      select count(*)
      from (select from offered.person p
            where not exists (select from offered.account a where a.person_id = p.id)
            limit 1) one
      """)
  long people();

  @Select("select count(*) from offered.account where signs_in")
  long colleagues();
}
