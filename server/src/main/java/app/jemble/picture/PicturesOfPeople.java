package app.jemble.picture;

import app.jemble.storage.ForgetsPeople;
import app.jemble.storage.Forgotten;
import app.jemble.storage.Sql;
import java.util.List;
import org.springframework.stereotype.Component;

/** Pictures of people; each was brought in for one of them. */
@Component
class PicturesOfPeople implements ForgetsPeople {

  @Override
  public List<Sql> forget(Forgotten who) {
    return List.of(
        Sql.of(
            """
            delete from picture
            where %s
              and not exists (select from offered.person p
                              where p.picture_key = picture.key and not %s)""",
            who.isTheirPicture(Sql.of("key")), who.isTheirs(Sql.of("p.id"))));
  }
}
