/**
 * When the messages of a mailing leave: the run sheet, and what is done about the rest of it. The
 * sums are done in core. Read {@link app.jemble.plan.PlanService} first.
 *
 * <p>Tables: send_plan.
 */
package app.jemble.plan;
