package app.jemble.picture;

import app.jemble.picture.PictureService.Picture;
import java.time.Instant;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

@Mapper
interface PictureMapper {

  @Insert(
      """
      insert into picture (key, name, type, width, height, octets, created_at, created_by)
      values (#{p.key}, #{p.name}, #{p.type}, #{p.width}, #{p.height}, #{octets}, #{at}, #{by})
      """)
  int add(
      @Param("p") Picture picture,
      @Param("octets") byte[] octets,
      @Param("at") Instant at,
      @Param("by") long by);

  /** The same, unless it is kept already. */
  @Insert(
      """
      insert into picture (key, name, type, width, height, octets, created_at, created_by)
      values (#{p.key}, #{p.name}, #{p.type}, #{p.width}, #{p.height}, #{octets}, #{at}, #{by})
      on conflict (key) do nothing
      """)
  int keep(
      @Param("p") Picture picture,
      @Param("octets") byte[] octets,
      @Param("at") Instant at,
      @Param("by") long by);

  /** A picture's file. */
  record FileRow(String type, byte[] octets) {}

  @Select("select type, octets from picture where key = #{key}")
  FileRow file(String key);
}
