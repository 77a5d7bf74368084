package app.jemble.backup;

import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface RestoredMapper {

  /** What is known of it; times are null as long as they have not come. */
  record Row(Instant madeAt, Instant restoredAt, Instant seenAt, Instant liftedAt) {}

  @Select("select made_at, restored_at, seen_at, lifted_at from restored")
  Row find();

  @Update("update restored set seen_at = #{at} where seen_at is null")
  int see(Instant at);

  /** Answers 0 when somebody has done so already. */
  @Update(
      """
      update restored
      set lifted_at = #{at}, lifted_by = #{by}
      where lifted_at is null
      """)
  int lift(@Param("at") Instant at, @Param("by") long by);
}
