/**
 * Rules of what is done after a mailing is out: kept, acted on, and written to people where they
 * say so. Who is meant is decided in core. Read {@link app.jemble.followup.FollowActs} first.
 *
 * <p>Tables: follow_rule, follow_act.
 */
package app.jemble.followup;
