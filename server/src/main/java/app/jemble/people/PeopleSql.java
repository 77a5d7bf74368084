package app.jemble.people;

/**
 * The questions asked about people. The condition of a filter stands in the middle of each; it is
 * made by {@link app.jemble.filter.FilterSql}, whose values are all parameters.
 */
public final class PeopleSql {

  /** One reason each, in the order of core's Reach; topics count only within a mailing. */
  private static final String REACH =
      """
      case
        when p.email is null then 'NO_ADDRESS'
        when not p.email_valid then 'NOT_VALID'
        when p.asked_not then 'ASKED_NOT'
        when d.email_key is not null then 'DO_NOT_WRITE'
        else 'READY'
      end""";

  private static final String FROM =
      """

      from person p
      left join membership m on m.person_id = p.id
      left join organisation o on o.id = p.organisation_id
      left join account w on w.id = p.owner_id
      left join do_not_write d on d.email_key = p.email_key
      where\s""";

  private PeopleSql() {}

  public static String tally(PeopleQuery query) {
    return "select "
        + REACH
        + " as reach, count(*) as people"
        + FROM
        + query.sql().text()
        + "\ngroup by 1";
  }

  public static String page(PeopleQuery query) {
    return """
        select f.*, heard.kind as heard_kind, heard.at as heard_at
        from (
          select p.id, p.name, p.name_key, p.kind, m.plan, m.joined_on, p.last_visit_at,
                 p.address_place as place, w.name as owner,\s"""
        + REACH
        + " as reach"
        + FROM
        + query.sql().text()
        + reach(query)
        + after(query)
        + """

          order by p.name_key collate "C", p.id
          limit #{limit}
        ) f
        left join lateral (
          select r.kind, r.at
          from response r
          where r.person_id = f.id and r.kind not in ('MACHINE_OPENED', 'MACHINE_CLICKED')
          order by r.at desc
          limit 1
        ) heard on true
        order by f.name_key collate "C", f.id
        """;
  }

  public static String ids(PeopleQuery query) {
    return "select p.id" + FROM + query.sql().text() + reach(query);
  }

  public static String records(PeopleQuery query) {
    return """
        select p.id, p.name, p.kind, p.honorific, p.first_name, p.last_name, p.email, p.phone,
               p.number, p.language, p.time_zone, p.birthday, p.address_street,
               p.address_postcode, p.address_place, p.address_country, w.name as owner_name,
               o.name as organisation_name, p.tags, p.source, p.stage, p.last_visit_at,
               p.created_at, p.asked_not, d.email_key is not null as do_not_write,
               p.attributes::text as attributes, m.plan, m.status, m.joined_on, m.renews_on,
               m.dues_owed, m.currency\
        """
        + FROM
        + "("
        + query.sql().text()
        + " or p.id = any(#{picks}))"
        + "\norder by p.name_key collate \"C\", p.id";
  }

  private static String reach(PeopleQuery query) {
    return query.reach() == null ? "" : "\nand " + REACH + " = #{reach}";
  }

  private static String after(PeopleQuery query) {
    return query.afterId() == null
        ? ""
        : "\nand (p.name_key collate \"C\", p.id) > (#{afterKey}, #{afterId})";
  }
}
