/** Who is due what next. Read {@link app.jemble.core.followup.FollowUp} first. */
package app.jemble.core.followup;
