package app.jemble.document;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface DocumentMapper {

  /** A document with its newest version; fields and matches as JSON. */
  record DocumentRow(
      long id,
      String name,
      String label,
      String startsFrom,
      Long privateTo,
      int version,
      long madeBy,
      Instant changedAt,
      String changedBy,
      long used,
      String fileName,
      String fields,
      String matches) {}

  /** A version as it is kept. */
  record VersionRow(
      String name, String hash, String fileName, String fields, String matches, Long privateTo) {}

  /** A version to be added. */
  record NewVersion(
      long documentId, int version, String hash, String fileName, String fields, String matches) {}

  /** A version in the list. */
  record PastVersion(
      int version, String fileName, String fields, Instant savedAt, String savedBy) {}

  /** Something whose letters are made of it. */
  record UsedBy(long id, String kind, String name, int version) {}

  String SELECT =
      """
      select d.id, d.name, d.label, d.starts_from, d.private_to, d.version, d.made_by,
             d.changed_at, a.name as changed_by,
             (select count(*) from offered.letter_document l
              join offered.cause c on c.id = l.cause_id
              where l.document_id = d.id and not c.is_discarded) as used,
             v.file_name, v.fields::text as fields, v.matches::text as matches
      from document d
      join document_version v on v.document_id = d.id and v.version = d.version
      join offered.account a on a.id = d.changed_by
      where d.gone_at is null
      """;

  @Select(
      SELECT
          + """
            and (d.private_to is null or d.private_to = #{who})
            order by d.label = '', fold(d.label), fold(d.name)
            """)
  List<DocumentRow> all(long who);

  @Select(SELECT + "and d.id = #{id}")
  DocumentRow find(long id);

  /** Documents of that name that a colleague can see. */
  @Select(
      """
      select count(*)
      from document
      where fold(name) = fold(#{name}) and id <> #{except} and gone_at is null
        and (private_to is null or private_to = #{who})
      """)
  int named(@Param("name") String name, @Param("except") long except, @Param("who") long who);

  @Select(
      affectData = true,
      value =
          """
          insert into document (name, made_by, changed_by, changed_at)
          values (#{name}, #{by}, #{by}, #{at})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(@Param("name") String name, @Param("by") long by, @Param("at") Instant at);

  @Insert(
      """
      insert into document_file (hash, content) values (#{hash}, #{content})
      on conflict (hash) do nothing
      """)
  int keepFile(@Param("hash") String hash, @Param("content") byte[] content);

  @Insert(
      """
      insert into document_version (document_id, version, hash, file_name, fields, matches,
                                    saved_at, saved_by)
      values (#{v.documentId}, #{v.version}, #{v.hash}, #{v.fileName}, #{v.fields}::jsonb,
              #{v.matches}::jsonb, #{at}, #{by})
      """)
  int addVersion(@Param("v") NewVersion version, @Param("by") long by, @Param("at") Instant at);

  /** Not when somebody else has changed it meanwhile. */
  @Update(
      """
      update document
      set name = #{d.name}, label = #{d.label}, starts_from = #{d.startsFrom},
          private_to = #{privateTo}, version = version + 1, changed_by = #{by}, changed_at = #{at}
      where id = #{id} and version = #{d.version} and gone_at is null
      """)
  int save(
      @Param("id") long id,
      @Param("d") DocumentService.DocumentDraft draft,
      @Param("privateTo") Long privateTo,
      @Param("by") long by,
      @Param("at") Instant at);

  @Update("update document set gone_at = #{at} where id = #{id}")
  int remove(@Param("id") long id, @Param("at") Instant at);

  @Select(
      """
      select v.version, v.file_name, v.fields::text as fields, v.saved_at, a.name as saved_by
      from document_version v
      join offered.account a on a.id = v.saved_by
      where v.document_id = #{id}
      order by v.version desc
      """)
  List<PastVersion> versions(long id);

  /** Also of a document that was taken away. */
  @Select(
      """
      select d.name, v.hash, v.file_name, v.fields::text as fields, v.matches::text as matches,
             d.private_to
      from document_version v
      join document d on d.id = v.document_id
      where v.document_id = #{id} and v.version = #{version}
      """)
  VersionRow version(@Param("id") long id, @Param("version") int version);

  @Select("select content from document_file where hash = #{hash}")
  List<byte[]> file(String hash);

  /** As far as it is open to a colleague. */
  @Select(
      """
      select c.id, c.kind, c.name, l.document_version as version
      from offered.letter_document l
      join offered.open_cause c on c.id = l.cause_id and c.open_to = #{who}
      where l.document_id = #{id} and not c.is_discarded
      order by c.id desc
      limit 200
      """)
  List<UsedBy> usedBy(@Param("id") long id, @Param("who") long who);
}
