package app.jemble.response;

import app.jemble.core.record.ErasedPerson;
import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.HangsOnPerson;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** What came back goes where its message went. */
@Component
class ResponsesOfPeople implements HangsOnPerson.Room, ForgetsPeople {

  @Override
  public List<HangsOnPerson> ofPeople() {
    return List.of(HangsOnPerson.ofMessages("RESPONSE", Sql.of("response"), Sql.of("t.id")));
  }

  @Override
  public Sql openTo(String name, long colleague) {
    return HangsOnPerson.ofOpenCause(Sql.of("t.cause_id"), colleague);
  }

  /** That somebody responded goes on counting; a link that others have too keeps its name. */
  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            update response r
            set detail = case when r.kind in ('CLICKED', 'MACHINE_CLICKED') then %s else '' end,
                away_until = null
            where %s and r.detail <> ''
              and not (r.kind in ('CLICKED', 'MACHINE_CLICKED')
                       and exists (
                         select from offered.message m
                         where m.cause_id = r.cause_id and r.detail = any(m.links)
                           and not %s))""",
            Sql.param(ErasedPerson.NAME),
            who.isTheirs(Sql.of("r.person_id")),
            who.isTheirs(Sql.of("m.person_id"))));
  }
}
