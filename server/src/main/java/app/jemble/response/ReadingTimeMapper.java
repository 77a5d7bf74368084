package app.jemble.response;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface ReadingTimeMapper {

  /**
   * When somebody answered.
   *
   * @param zone where they are, or null
   */
  record Moment(PersonId personId, Instant at, String zone) {}

  /** The latest signs that people read: opened, clicked or replied, by themselves. */
  @Select(
      """
      select r.person_id, r.at, p.time_zone as zone
      from response r
      join offered.person p on p.id = r.person_id
      where r.kind in ('OPENED', 'CLICKED', 'REPLIED')
        and (#{people}::bigint[] is null or r.person_id = any(#{people}))
      order by r.at desc, r.id desc
      limit #{limit}
      """)
  List<Moment> moments(@Param("people") PersonId[] people, @Param("limit") int limit);
}
