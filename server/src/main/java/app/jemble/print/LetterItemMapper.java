package app.jemble.print;

import app.jemble.core.message.MessageId;
import app.jemble.core.record.PersonId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Print runs of letters. */
@Mapper
interface LetterItemMapper {

  @Select(
      PrintMapper.RUN
          + """
            where cause_id = #{causeId} and state <> 'DISCARDED'
            order by id desc
            """)
  List<PrintRun> ofCause(long causeId);

  @Select(
      """
      select i.message_id
      from public.print_item i
      join public.print_run r on r.id = i.run_id
      where r.cause_id = #{causeId} and i.message_id is not null
      """)
  List<MessageId> taken(long causeId);

  @Select(
      affectData = true,
      value =
          """
          insert into print_run (name, made_by, created_at, parts, picks, left_out, design,
                                 cause_id, duplex, document_id, document_version)
          values (#{r.name}, #{r.madeBy}, #{at}, '[]', '{}', '{}', '{}', #{r.causeId}, #{r.duplex},
                  nullif(#{r.paper.documentId}, 0), nullif(#{r.paper.documentVersion}, 0))
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long create(@Param("r") LetterItems.NewRun run, @Param("at") Instant at);

  @Insert(
      """
      insert into print_item (run_id, place, message_id, person_id, words, address)
      select #{run}, i.place - 1, i.message_id, i.person_id, '', i.address
      from unnest(#{messages}::bigint[], #{people}::bigint[], #{addresses}::text[])
        with ordinality i (message_id, person_id, address, place)
      """)
  int note(
      @Param("run") long run,
      @Param("messages") MessageId[] messages,
      @Param("people") PersonId[] people,
      @Param("addresses") List<String> addresses);

  @Select(
      """
      select message_id
      from print_item
      where run_id = #{run} and place >= #{from}
      order by place
      limit #{most}
      """)
  List<MessageId> messages(
      @Param("run") long run, @Param("from") int from, @Param("most") int most);

  @Update(
      """
      update print_item i
      set subject = n.subject, words = n.words, first_page = n.first_page, pages = n.pages
      from unnest(#{messages}::bigint[], #{subjects}::text[], #{words}::text[],
                  #{first}::bigint[], #{pages}::bigint[])
        n (message_id, subject, words, first_page, pages)
      where i.run_id = #{run} and i.message_id = n.message_id
      """)
  int printed(
      @Param("run") long run,
      @Param("messages") MessageId[] messages,
      @Param("subjects") List<String> subjects,
      @Param("words") List<String> words,
      @Param("first") Long[] first,
      @Param("pages") Long[] pages);

  @Select(
      """
      select person_id, first_page, pages
      from print_item
      where run_id = #{run} and pages is not null
      order by first_page
      offset #{from} limit #{most}
      """)
  List<LetterItems.Lying> lying(
      @Param("run") long run, @Param("from") int from, @Param("most") int most);

  @Update(
      """
      update print_item set first_page = null, pages = null, filled = null
      where run_id = #{run} and pages is not null
      """)
  int forgetPrinted(long run);

  @Update(
      """
      update print_item i
      set filled = n.filled::jsonb
      from unnest(#{messages}::bigint[], #{filled}::text[]) n (message_id, filled)
      where i.run_id = #{run} and i.message_id = n.message_id
      """)
  int filled(
      @Param("run") long run,
      @Param("messages") MessageId[] messages,
      @Param("filled") List<String> filled);

  /** As they lie in the file. */
  @Select(
      """
      select filled::text
      from print_item
      where run_id = #{run} and pages is not null and first_page >= #{from}
      order by first_page
      limit #{most}
      """)
  List<String> fillings(@Param("run") long run, @Param("from") int from, @Param("most") int most);

  @Select(
      """
      select message_id, subject, words, first_page, pages
      from print_item
      where run_id = #{run} and pages is not null
      order by place
      """)
  List<LetterItems.Printed> all(long run);

  @Select(
      """
      select message_id, subject, words, first_page, pages
      from print_item
      where run_id = #{run} and message_id = #{message} and pages is not null
      """)
  LetterItems.Printed one(@Param("run") long run, @Param("message") MessageId message);

  @Update(
      """
      update print_run set state = 'DISCARDED', version = version + 1
      where id = #{id} and posted_on is null
      """)
  int drop(long id);
}
