package app.jemble.response;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface CountingMapper {

  /**
   * By what signs a fetch is software's.
   *
   * @param withinSeconds up to so long after the hand-over
   * @param burstSeconds who follows all links within so long is software
   * @param agents words with which names in a User-Agent end
   * @param ranges addresses it comes from, as 192.0.2.0/24
   */
  record CountingRules(
      int withinSeconds, int burstSeconds, List<String> agents, List<String> ranges) {}

  @Select(
      """
      select within_seconds, burst_seconds, agents, ranges from counting_rules
      """)
  CountingRules find();

  @Update(
      """
      update counting_rules
      set within_seconds = #{within}, burst_seconds = #{burst}, agents = #{agents},
          ranges = #{ranges}
      """)
  int change(
      @Param("within") int within,
      @Param("burst") int burst,
      @Param("agents") String[] agents,
      @Param("ranges") String[] ranges);
}
