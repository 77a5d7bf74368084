package app.jemble.cause;

import app.jemble.core.message.MailWording;
import app.jemble.core.message.NoticeWording;
import app.jemble.core.message.PaperWording;
import app.jemble.core.message.TextWording;
import app.jemble.core.reach.Channel;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

@Mapper
interface WordingMapper {

  @Select(
      """
      select subject, body, template_id, template_version, letterhead_id, promotional, voice,
             replies_to, reply_colleague, count_opens, count_clicks
      from wording
      where id = #{id}
      """)
  MailWording mail(long id);

  @Select(
      affectData = true,
      value =
          """
          insert into wording (channel, subject, body, template_id, template_version,
                               letterhead_id, promotional, voice, replies_to, reply_colleague,
                               count_opens, count_clicks)
          values (#{channel}, #{w.subject}, #{w.body}, #{w.templateId}, #{w.templateVersion},
                  #{w.letterheadId}, #{w.promotional}, #{w.voice}, #{w.repliesTo},
                  #{w.replyColleague}, #{w.countOpens}, #{w.countClicks})
          returning id
          """)
  @Options(flushCache = Options.FlushCachePolicy.TRUE)
  long addMail(@Param("channel") Channel channel, @Param("w") MailWording wording);

  /** What is said by text; null where nothing was ever written. */
  @Select(
      """
      select words, likeness from way_wording
      where cause_id = #{cause} and channel = #{channel}
      """)
  TextWording text(@Param("cause") long cause, @Param("channel") Channel channel);

  @Insert(
      """
      insert into way_wording (cause_id, channel, words, likeness)
      values (#{cause}, #{w.channel}, #{w.words}, #{w.likeness})
      on conflict (cause_id, channel) do update
      set words = excluded.words, likeness = excluded.likeness
      """)
  int writeText(@Param("cause") long cause, @Param("w") TextWording wording);

  /** What is said to the app; null where nothing was ever written. */
  @Select(
      """
      select title, words, link from way_wording
      where cause_id = #{cause} and channel = #{channel}
      """)
  NoticeWording notice(@Param("cause") long cause, @Param("channel") Channel channel);

  @Insert(
      """
      insert into way_wording (cause_id, channel, title, words, link)
      values (#{cause}, #{w.channel}, #{w.title}, #{w.words}, #{w.link})
      on conflict (cause_id, channel) do update
      set title = excluded.title, words = excluded.words, link = excluded.link
      """)
  int writeNotice(@Param("cause") long cause, @Param("w") NoticeWording wording);

  /** What is said on paper; null where nothing was ever written. */
  @Select(
      """
      select title as subject, words as body, form,
             coalesce(document_id, 0) as document_id,
             coalesce(document_version, 0) as document_version
      from way_wording
      where cause_id = #{cause} and channel = #{channel}
      """)
  PaperWording paper(@Param("cause") long cause, @Param("channel") Channel channel);

  @Insert(
      """
      insert into way_wording (cause_id, channel, title, words, form, document_id,
                               document_version)
      values (#{cause}, #{w.channel}, #{w.subject}, #{w.body}, #{w.form},
              nullif(#{w.documentId}, 0), nullif(#{w.documentVersion}, 0))
      on conflict (cause_id, channel) do update
      set title = excluded.title, words = excluded.words, form = excluded.form,
          document_id = excluded.document_id, document_version = excluded.document_version
      """)
  int writePaper(@Param("cause") long cause, @Param("w") PaperWording wording);

  /** One cause says on its ways beside e-mail what another does. */
  @Insert(
      """
      insert into way_wording (cause_id, channel, title, words, link, likeness, form, document_id,
                               document_version)
      select #{to}, channel, title, words, link, likeness, form, document_id, document_version
      from way_wording
      where cause_id = #{from}
      """)
  int copyBeside(@Param("from") long from, @Param("to") long to);

  @Update(
      """
      update wording
      set subject = #{w.subject}, body = #{w.body}, template_id = #{w.templateId},
          template_version = #{w.templateVersion}, letterhead_id = #{w.letterheadId},
          promotional = #{w.promotional}, voice = #{w.voice}, replies_to = #{w.repliesTo},
          reply_colleague = #{w.replyColleague}, count_opens = #{w.countOpens},
          count_clicks = #{w.countClicks}
      where id = #{id}
      """)
  int writeMail(@Param("id") long id, @Param("w") MailWording wording);
}
