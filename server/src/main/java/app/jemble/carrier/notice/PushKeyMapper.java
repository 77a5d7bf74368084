package app.jemble.carrier.notice;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PushKeyMapper {

  /** Private 32 octets, public 65. */
  record Pair(byte[] privateKey, byte[] publicKey) {}

  /** Null before there is one. */
  @Select("select private_key, public_key from push_keys")
  Pair find();

  /** Whoever comes second keeps to the pair of the first. */
  @Insert(
      """
      insert into push_keys (id, private_key, public_key) values (1, #{p.privateKey}, #{p.publicKey})
      on conflict do nothing
      """)
  int keep(@Param("p") Pair pair);
}
