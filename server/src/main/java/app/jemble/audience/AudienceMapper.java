package app.jemble.audience;

import app.jemble.core.record.PersonId;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface AudienceMapper {

  @Select(
      """
      select record_kind, record_ids, record_each, parts::text as parts,
             left_out_parts::text as left_out_parts, picks, left_out
      from audience
      where mailing_id = #{mailingId}
      """)
  Audience find(long mailingId);

  /** The same for a colleague who sees their own people only: of people and records, theirs. */
  @Select(
      """
      select record_kind,
             array(select r.id
                   from unnest(record_ids) with ordinality r (id, place)
                   where case record_kind
                           when 'QUOTE' then r.id in (select id from offered.quote)
                           when 'TASK' then r.id in (select id from offered.task)
                           else r.id in (select id from offered.attendance) end
                   order by r.place) as record_ids,
             record_each, parts::text as parts, left_out_parts::text as left_out_parts,
             array(select p.id
                   from unnest(picks) with ordinality u (id, place)
                   join offered.person p on p.id = u.id
                   order by u.place) as picks,
             array(select p.id
                   from unnest(left_out) with ordinality u (id, place)
                   join offered.person p on p.id = u.id
                   order by u.place) as left_out
      from audience
      where mailing_id = #{mailingId}
      """)
  Audience findSeen(long mailingId);

  @Insert(
      """
      insert into audience (mailing_id, record_kind, record_ids, record_each, parts, left_out_parts,
                            picks, left_out)
      values (#{mailingId}, #{a.recordKind}, #{a.recordIds}, #{a.recordEach}, #{a.parts}::jsonb,
              #{a.leftOutParts}::jsonb, #{a.picks}, #{a.leftOut})
      on conflict (mailing_id) do update
      set record_kind = excluded.record_kind, record_ids = excluded.record_ids,
          record_each = excluded.record_each, parts = excluded.parts,
          left_out_parts = excluded.left_out_parts, picks = excluded.picks, left_out = excluded.left_out
      """)
  int write(@Param("mailingId") long mailingId, @Param("a") Audience audience);

  @Update(
      """
      update audience
      set left_out = array(select distinct unnest(left_out || #{people}::bigint[]) order by 1)
      where mailing_id = #{mailingId}
      """)
  int leaveOut(@Param("mailingId") long mailingId, @Param("people") PersonId[] people);

  /** The parts of a mailing's audience and those it leaves out, as they are stored. */
  record StoredParts(long mailingId, String parts, String leftOutParts) {}

  @Select(
      """
      select mailing_id, parts::text as parts, left_out_parts::text as left_out_parts
      from audience
      where jsonb_path_exists(parts || left_out_parts, '$.**.field ? (@ == $field)',
                              jsonb_build_object('field', #{field}::text))
      order by mailing_id
      for update
      """)
  List<StoredParts> about(String field);

  @Update(
      """
      update audience
      set parts = #{parts}::jsonb, left_out_parts = #{leftOutParts}::jsonb
      where mailing_id = #{mailingId}
      """)
  int writeParts(StoredParts parts);
}
