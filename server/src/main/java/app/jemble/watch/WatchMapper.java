package app.jemble.watch;

import app.jemble.core.message.MessageState;
import app.jemble.core.reach.Channel;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface WatchMapper {

  /** How many messages of a channel are in a state. */
  record Standing(Channel channel, MessageState state, long messages) {}

  /** What has not been sent; the millions that were are no news, and take a second to count. */
  @Select(
      """
      select channel, state, count(*) as messages
      from offered.message
      where has_not_departed
      group by channel, state
      """)
  List<Standing> notSent();

  /** When the message was due that should have left first; null when none is late. */
  @Select(
      """
      select min(m.due_at)
      from offered.message m
      join offered.cause c on c.id = m.cause_id
      where m.to_depart and m.due_at <= #{now} and c.is_released and c.paused_at is null
        and m.channel <> all(#{byHand})
      """)
  Instant longestDue(@Param("now") Instant now, @Param("byHand") List<String> byHand);

  /** Ways of which the last try failed. */
  @Select("select channel from offered.carrier_state where trouble <> ''")
  List<Channel> inTrouble();
}
