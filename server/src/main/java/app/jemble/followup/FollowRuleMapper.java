package app.jemble.followup;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface FollowRuleMapper {

  String SELECT =
      """
      select id, mailing_id, place, whom, wait_count, wait_unit, after_id, on_kinds,
             except_parts::text as except_parts, act::text as act, sends_id, stopped_at
      from follow_rule
      """;

  @Select(SELECT + "where mailing_id = #{mailing} order by place, id")
  List<FollowRule> of(long mailing);

  @Select(SELECT + "where id = #{id}")
  FollowRule find(long id);

  /** Nobody stops or changes it until the transaction ends. */
  @Select(SELECT + "where id = #{id} for share")
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  FollowRule findShared(long id);

  @Select(SELECT + "where sends_id = #{mailing}")
  FollowRule sending(long mailing);

  /** Two colleagues change the rules of a mailing one after the other. */
  @Select("select id from offered.cause where id = #{mailing} for no key update")
  Long lock(long mailing);

  @Select(
      affectData = true,
      value =
          """
          insert into follow_rule (mailing_id, place, whom, wait_count, wait_unit, after_id,
                                   on_kinds, except_parts, act, sends_id)
          values (#{r.mailingId}, #{r.place}, #{r.whom}, #{r.waitCount}, #{r.waitUnit},
                  #{r.afterId}, #{r.onKinds}, #{r.exceptParts}::jsonb, #{r.act}::jsonb,
                  #{r.sendsId})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long add(@Param("r") FollowRule rule);

  @Update(
      """
      update follow_rule
      set place = #{r.place}, whom = #{r.whom}, wait_count = #{r.waitCount},
          wait_unit = #{r.waitUnit}, after_id = #{r.afterId}, on_kinds = #{r.onKinds},
          except_parts = #{r.exceptParts}::jsonb, act = #{r.act}::jsonb, sends_id = #{r.sendsId},
          look_at = null
      where id = #{r.id}
      """)
  int change(@Param("r") FollowRule rule);

  @Update("update follow_rule set place = #{place} where id = #{id}")
  int move(@Param("id") long id, @Param("place") int place);

  @Delete("delete from follow_rule where id = #{id}")
  int remove(long id);

  /** What a rule makes is of the kind that is called so from now on. */
  @Update(
      """
      update follow_rule set act = jsonb_set(act, '{taskKind}', to_jsonb(#{after}::text))
      where act ->> 'taskKind' = #{before}
      """)
  int renameTaskKind(@Param("before") String before, @Param("after") String after);

  @Update("update follow_rule set stopped_at = #{at}, look_at = null where id = #{id}")
  int stop(@Param("id") long id, @Param("at") Instant at);

  @Update(
      """
      update follow_rule set stopped_at = #{at}
      where mailing_id = #{mailing} and stopped_at is null
      """)
  int stopAll(@Param("mailing") long mailing, @Param("at") Instant at);

  /** What became of the people of a rule so far. */
  record Counts(long ruleId, long done, long not) {}

  @Select(
      """
      select a.rule_id, count(*) filter (where a.state = 'done') as done,
             count(*) filter (where a.state = 'not') as not
      from follow_act a
      join follow_rule f on f.id = a.rule_id
      where f.mailing_id = #{mailing}
      group by a.rule_id
      """)
  List<Counts> counts(long mailing);

  /** Whether it has done, or is about to do, anything about anybody. */
  @Select("select exists (select from public.follow_act where rule_id = #{id})")
  boolean hasActed(long id);

  /**
   * The thread of one message of a mailing.
   *
   * @param leaves when it left, or is to leave
   * @param standings where each of its messages stands
   */
  record ThreadRow(MessageId message, PersonId personId, Instant departs, List<String> standings) {}

  @Select(
      """
      select s.id as message, s.person_id, coalesce(s.sent_at, s.due_at) as departs,
             array(select f.standing from offered.message f where f.id = coalesce(s.thread_id, s.id)
                   union
                   select f.standing from offered.message f
                   where f.thread_id = coalesce(s.thread_id, s.id)) as standings
      from offered.message s
      where s.cause_id = #{mailing} and s.state not in ('withdrawn', 'refused')
      """)
  List<ThreadRow> threads(long mailing);

  /** What a rule has decided about a thread, and when. */
  record Decided(long ruleId, MessageId message, String state, Instant at) {}

  @Select(
      """
      select a.rule_id, a.message_id as message, a.state, coalesce(m.sent_at, a.at) as at
      from follow_act a
      join follow_rule f on f.id = a.rule_id
      left join offered.message m on m.id = a.made_message
      where f.mailing_id = #{mailing}
      """)
  List<Decided> decided(long mailing);

  /** Somebody a rule has decided about. */
  record Touched(PersonId personId, String name, MessageId message, Instant at, String words) {}

  @Select(
      """
      select a.person_id, p.name, a.message_id as message, a.at, a.words
      from follow_act a
      join offered.person p on p.id = a.person_id
      where a.rule_id = #{rule} and a.state = #{state}
      order by a.at desc, p.name_key collate "C"
      limit #{most}
      """)
  List<Touched> touched(
      @Param("rule") long rule, @Param("state") String state, @Param("most") int most);

  @Select(
      """
      select id as person_id, name, 0 as message, null::timestamptz as at, '' as words
      from offered.person
      where id = any(#{people})
      order by name_key collate "C", id
      limit #{most}
      """)
  List<Touched> named(@Param("people") PersonId[] people, @Param("most") int most);

  /** Who is left out of a rule, as it is stored. */
  record StoredExceptions(long id, String parts) {}

  @Select(
      """
      select id, except_parts::text as parts
      from follow_rule
      where jsonb_path_exists(except_parts, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by id
      for update
      """)
  List<StoredExceptions> about(String field);

  @Update("update follow_rule set except_parts = #{parts}::jsonb where id = #{id}")
  int except(@Param("id") long id, @Param("parts") String parts);

  String NAMES =
      """
      stopped_at is null
        and mailing_id not in (select id from offered.cause where private)
        and (act ->> 'owner' = login
             or (act ->> 'field' = 'owner' and act ->> 'value' = login))
      """;

  /** Rules that others may know of and that give a colleague tasks or people. */
  @Select(
      "select count(*) from follow_rule, (select login from offered.account where id = #{colleague}) a"
          + " where "
          + NAMES)
  long countNaming(long colleague);

  @Update(
      """
      update follow_rule
      set act = act || case when act ->> 'field' = 'owner' then jsonb_build_object('value', #{to}::text)
                            else jsonb_build_object('owner', #{to}::text) end
      from (select #{from}::text as login) a
      where
      """
          + NAMES)
  int nameInstead(@Param("from") String from, @Param("to") String to);
}
