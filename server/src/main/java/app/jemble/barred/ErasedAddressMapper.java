package app.jemble.barred;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Marks of addresses that are never written to and were of somebody who was erased. */
@Mapper
interface ErasedAddressMapper {

  @Select("select exists (select from erased_address)")
  boolean isAny();

  @Insert(
      """
      insert into erased_address (mark, reason, since)
      values (#{mark}, #{reason}, #{since})
      on conflict do nothing
      """)
  int keep(
      @Param("mark") byte[] mark, @Param("reason") String reason, @Param("since") Instant since);

  /** An address that is on the list in the open. */
  record Barred(String address, String reason, Instant since) {}

  @Select(
      """
      select address_key as address, reason, since
      from do_not_write
      where address_key = any(#{addresses}::text[])
      for update
      """)
  List<Barred> barred(@Param("addresses") List<String> addresses);

  @Delete("delete from do_not_write where address_key = any(#{addresses}::text[])")
  int takeOff(@Param("addresses") List<String> addresses);

  @Delete("delete from written_to_again where address_key = any(#{addresses}::text[])")
  int forgetLifted(@Param("addresses") List<String> addresses);

  /**
   * Those whose marks are kept stand on the list again.
   *
   * @param marks of the addresses in their order, in hexadecimal digits
   */
  @Insert(
      """
      insert into do_not_write (address_key, reason, since, note)
      select distinct on (n.address) n.address, e.reason, e.since, ''
      from unnest(#{addresses}::text[], #{marks}::text[]) as n (address, mark)
      join erased_address e on e.mark = decode(n.mark, 'hex')
      on conflict do nothing
      """)
  int bringBack(@Param("addresses") List<String> addresses, @Param("marks") List<String> marks);
}
