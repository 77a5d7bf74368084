package app.jemble.mailing;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface MailingFileMapper {

  @Select(
      """
      select id, name, type, size, recipients
      from mailing_file
      where mailing_id = #{mailingId}
      order by id
      """)
  List<MailingFiles.MailingFile> all(long mailingId);

  /** A file with what it holds. */
  record FileRow(String name, String type, boolean recipients, byte[] octets) {}

  @Select(
      """
      select name, type, recipients, octets
      from mailing_file
      where mailing_id = #{mailingId}
      order by id
      """)
  List<FileRow> files(long mailingId);

  @Insert(
      """
      insert into mailing_file (mailing_id, name, type, recipients, octets, size, added_at, added_by)
      values (#{mailingId}, #{f.name}, #{f.type}, #{f.recipients}, #{f.octets}, #{size}, #{at}, #{by})
      """)
  int add(
      @Param("mailingId") long mailingId,
      @Param("f") FileRow file,
      @Param("size") int size,
      @Param("at") Instant at,
      @Param("by") long by);

  @Update("update mailing_file set name = #{name} where mailing_id = #{mailingId} and id = #{id}")
  int rename(@Param("mailingId") long mailingId, @Param("id") long id, @Param("name") String name);

  @Delete("delete from mailing_file where mailing_id = #{mailingId} and id = #{id}")
  int remove(@Param("mailingId") long mailingId, @Param("id") long id);

  /** The files of one mailing for another that begins from it. */
  @Insert(
      """
      insert into mailing_file (mailing_id, name, type, recipients, octets, size, added_at, added_by)
      select #{to}, name, type, recipients, case when recipients then null else octets end,
             case when recipients then 0 else size end, added_at, added_by
      from mailing_file
      where mailing_id = #{from}
      order by id
      """)
  int copy(@Param("from") long from, @Param("to") long to);

  /** Gives the list of recipients what it holds; null when they are not known any more. */
  @Update(
      """
      update mailing_file
      set octets = #{octets}, size = #{size}
      where mailing_id = #{mailingId} and recipients
      """)
  int fillRecipients(
      @Param("mailingId") long mailingId, @Param("octets") byte[] octets, @Param("size") int size);
}
