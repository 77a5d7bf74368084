package app.jemble.mailing;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface MailingMapper {

  String SELECT =
      """
      select g.id, g.name, g.subject, g.body, g.template_id,
             g.template_version, g.topic_id, g.sender_id, a.name as sender_name, g.letterhead_id,
             g.promotional, g.voice, g.replies_to, g.reply_colleague, g.private as is_private,
             g.follows_id, g.by_rule, g.record_kind, g.record_ids, g.record_each,
             g.audience_parts::text as audience_parts,
             g.leave_parts::text as leave_parts, g.audience_picks, g.left_out,
             g.plan::text as plan,
             g.count_opens, g.count_clicks, upper(g.state) as state, g.released_at, g.held_until,
             g.due_at, g.paused_at, g.version
      from mailing g
      join offered.account a on a.id = g.sender_id
      """;

  @Select(SELECT + "where g.id = #{id}")
  Mailing find(long id);

  @Select(SELECT + "where g.id = #{id} for no key update of g")
  Mailing findLocked(long id);

  @Select(
      """
      select g.id, g.name, g.subject, upper(g.state) as state, a.name as sender_name,
             g.released_at, g.held_until, g.due_at, g.created_at,
             coalesce(c.messages, 0) as messages, coalesce(c.sent, 0) as sent,
             coalesce(c.to_leave, 0) as to_leave, coalesce(c.replied, 0) as replied
      from mailing g
      join offered.account a on a.id = g.sender_id
      left join (
        select mailing_id, count(*) as messages,
               count(*) filter (where state = 'sent') as sent,
               count(*) filter (where state in ('waiting', 'deferred')) as to_leave,
               count(*) filter (where standing = 'REPLIED') as replied
        from offered.message
        group by mailing_id
      ) c on c.mailing_id = g.id
      where g.state <> 'discarded' and g.answers_mail is null
        and (not g.by_rule or c.messages > 0)
        and (not g.private or g.sender_id = #{who})
        and (#{templateId}::bigint is null or g.template_id = #{templateId})
      order by g.released_at desc nulls first, g.id desc
      limit 200
      """)
  List<MailingRow> all(@Param("who") long who, @Param("templateId") Long templateId);

  @Select(
      affectData = true,
      value =
          """
          insert into mailing (name, subject, body, template_id, template_version, topic_id,
                               sender_id, letterhead_id, promotional, follows_id, private, record_kind,
                               record_ids, record_each, audience_parts,
                               leave_parts, audience_picks, left_out, created_at, created_by)
          values (#{m.name}, #{m.subject}, #{m.body}, #{m.templateId}, #{m.templateVersion},
                  #{m.topicId}, #{m.senderId}, #{m.letterheadId}, #{m.promotional}, #{m.followsId}, #{m.isPrivate},
                  #{m.recordKind}, #{m.recordIds}, #{m.recordEach},
                  #{m.audienceParts}::jsonb, #{m.leaveParts}::jsonb, #{m.audiencePicks},
                  #{m.leftOut}, #{at}, #{m.senderId})
          returning id
          """)
  long create(@Param("m") NewDraft draft, @Param("at") Instant at);

  @Update(
      """
      update mailing
      set name = #{c.name}, subject = #{c.subject}, body = #{c.body}, topic_id = #{c.topicId},
          template_id = #{c.templateId}, letterhead_id = #{c.letterheadId},
          promotional = #{c.promotional}, voice = #{c.voice}, replies_to = #{c.repliesTo},
          reply_colleague = #{c.replyColleague}, private = #{c.isPrivate},
          record_each = #{c.recordEach},
          audience_parts = #{c.audienceParts}::jsonb, leave_parts = #{c.leaveParts}::jsonb,
          audience_picks = #{c.audiencePicks}, left_out = #{c.leftOut},
          plan = #{c.plan}::jsonb, count_opens = #{c.countOpens},
          count_clicks = #{c.countClicks}, version = version + 1
      where id = #{id} and version = #{version} and state = 'draft'
      """)
  int change(@Param("id") long id, @Param("version") int version, @Param("c") DraftChange change);

  /** What its rules send is its sender's alone when it is. */
  @Update(
      """
      update mailing c
      set private = g.private
      from mailing g
      where g.id = #{id} and c.follows_id = g.id and c.by_rule and c.private <> g.private
      """)
  int shareWithRules(long id);

  /** In whose name, where replies go and what is counted, as with another mailing. */
  @Update(
      """
      update mailing g
      set voice = b.voice, replies_to = b.replies_to, reply_colleague = b.reply_colleague,
          count_opens = b.count_opens, count_clicks = b.count_clicks
      from mailing b
      where b.id = #{from} and g.id = #{to}
      """)
  int takeOptions(@Param("from") long from, @Param("to") long to);

  @Update(
      """
      update mailing
      set left_out = array(select distinct unnest(left_out || #{people}::bigint[]) order by 1),
          version = version + 1
      where id = #{id} and state = 'draft'
      """)
  int leaveOut(@Param("id") long id, @Param("people") Long[] people);

  @Update(
      """
      update mailing
      set state = 'released', released_at = #{at}, held_until = #{heldUntil}, due_at = #{dueAt},
          version = version + 1
      where id = #{id} and state = 'draft'
      """)
  int release(
      @Param("id") long id,
      @Param("at") Instant at,
      @Param("heldUntil") Instant heldUntil,
      @Param("dueAt") Instant dueAt);

  @Update(
      """
      update mailing
      set state = 'draft', released_at = null, held_until = null, due_at = null, paused_at = null,
          version = version + 1
      where id = #{id} and state = 'released'
      """)
  int takeBack(long id);

  @Update("update mailing set paused_at = #{at} where id = #{id}")
  int pause(@Param("id") long id, @Param("at") Instant at);

  /** The rest leaves by another plan, and is no longer held back. */
  @Update("update mailing set plan = #{plan}::jsonb, paused_at = null where id = #{id}")
  int goOn(@Param("id") long id, @Param("plan") String plan);

  /** Its sender is told what became of it; answers 0 when another process has done so. */
  @Update("update mailing set summed_up_at = #{at} where id = #{id} and summed_up_at is null")
  int sumUp(@Param("id") long id, @Param("at") Instant at);

  @Update("update mailing set summed_up_at = null where id = #{id}")
  int forgetSummary(long id);

  /** It is held from when it is all there. */
  @Update(
      """
      update mailing
      set held_until = greatest(held_until, #{heldUntil}), version = version + 1
      where id = #{id} and state = 'released'
      """)
  int written(@Param("id") long id, @Param("heldUntil") Instant heldUntil);

  @Select(
      """
      select id, audience_parts::text as parts, leave_parts::text as leave_parts
      from mailing
      where jsonb_path_exists(audience_parts || leave_parts, '$.**.field ? (@ == "list")')
      order by id
      for update
      """)
  List<StoredParts> aboutLists();

  @Update(
      """
      update mailing
      set audience_parts = #{parts}::jsonb, leave_parts = #{leaveParts}::jsonb,
          version = version + 1
      where id = #{id}
      """)
  int writeParts(StoredParts parts);

  @Update(
      "update mailing set state = 'withdrawn', version = version + 1 where id = #{id} and state = 'released'")
  int withdraw(long id);

  @Update(
      "update mailing set state = 'discarded', version = version + 1 where id = #{id} and state = 'draft'")
  int discard(long id);

  @Update(
      "update mailing set state = 'draft', version = version + 1 where id = #{id} and state = 'discarded'")
  int restore(long id);
}
