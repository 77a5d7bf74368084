package app.jemble.device;

import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DeviceMapper {

  /** A device as its app registers it. */
  record Registration(
      PersonId personId, String address, byte[] key, byte[] secret, String name, Instant at) {}

  /** Of an address that somebody else had, or this one before, the last to say so has it. */
  @Insert(
      """
      insert into device (person_id, address, key, secret, name, registered_at, heard_at)
      values (#{personId}, #{address}, #{key}, #{secret}, #{name}, #{at}, #{at})
      on conflict (address) do update
      set person_id = excluded.person_id, key = excluded.key, secret = excluded.secret,
          name = excluded.name, heard_at = excluded.heard_at, gone_at = null, gone_why = '',
          registered_at = case when device.person_id = excluded.person_id
                               then device.registered_at else excluded.registered_at end
      """)
  int register(Registration device);

  /** Lets go of those that were not heard of for longest, beyond so many. */
  @Update(
      """
      update device
      set gone_at = #{now}, gone_why = #{why}
      where id in (
        select id from device
        where person_id = #{person} and gone_at is null
        order by heard_at desc, id desc
        offset #{most})
      """)
  int letGo(
      @Param("person") PersonId person,
      @Param("most") int most,
      @Param("why") String why,
      @Param("now") Instant now);

  @Update(
      """
      update device set gone_at = #{now}, gone_why = #{why}
      where address = #{address} and gone_at is null
      """)
  int gone(@Param("address") String address, @Param("why") String why, @Param("now") Instant now);

  @Update(
      """
      update device set gone_at = #{now}, gone_why = #{why}
      where person_id = #{person} and address = #{address} and gone_at is null
      """)
  int remove(
      @Param("person") PersonId person,
      @Param("address") String address,
      @Param("why") String why,
      @Param("now") Instant now);

  @Update(
      """
      update device set gone_at = #{now}, gone_why = #{why}
      where person_id = #{person} and id = #{id} and gone_at is null
      """)
  int takeAway(
      @Param("person") PersonId person,
      @Param("id") long id,
      @Param("why") String why,
      @Param("now") Instant now);

  /** A device that is sent to; several of a person, the last heard of first. */
  record Row(PersonId personId, String address, byte[] key, byte[] secret) {}

  /** What those of other records that became part of a person's have goes to the person. */
  @Select(
      """
      select p.id as person_id, d.address, d.key, d.secret
      from offered.person p
      join device d on d.person_id in (p.id, p.merged_into)
      where p.id = any(#{people}) and d.gone_at is null and not d.barred
      order by d.heard_at desc, d.id desc
      """)
  List<Row> of(PersonId[] people);

  /** The devices of whoever has this e-mail address. */
  @Select(
      """
      select d.person_id, d.address, d.key, d.secret
      from offered.person p
      join device d on d.person_id = p.id
      where p.email_key = lower(#{email}) and p.archived_at is null
        and d.gone_at is null and not d.barred
      order by d.heard_at desc, d.id desc
      """)
  List<Row> ofAddress(String email);

  /** A device as colleagues see it. */
  record Shown(
      long id,
      String address,
      String name,
      Instant registeredAt,
      Instant heardAt,
      Instant goneAt,
      String goneWhy,
      boolean barred) {}

  @Select(
      """
      select id, address, name, registered_at, heard_at, gone_at, gone_why, barred
      from device
      where person_id = #{person}
      order by gone_at is not null, heard_at desc, id desc
      limit 40
      """)
  List<Shown> all(PersonId person);

  /** The number of the link that somebody has; null when there is no such person. */
  @Select("select app_link_number from offered.person where id = #{person} and archived_at is null")
  Integer linkNumber(PersonId person);

  @Update(
      """
      update person set app_link_number = app_link_number + 1
      where id = #{person} and archived_at is null
      """)
  int renewLink(PersonId person);

  @Update("update device set heard_at = #{now} where person_id = #{person} and gone_at is null")
  int heard(@Param("person") PersonId person, @Param("now") Instant now);
}
