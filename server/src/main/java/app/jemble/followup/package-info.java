/**
 * Rules of what is done after a mailing is out. {@link app.jemble.followup.FollowRules} keeps them,
 * {@link app.jemble.followup.FollowActs} acts on them; who is meant is decided in core.
 */
package app.jemble.followup;
