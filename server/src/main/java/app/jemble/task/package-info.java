/**
 * Tasks: what a colleague is to do, mostly for or with a person, by a day. Read {@link
 * app.jemble.task.TaskService} first.
 *
 * <p>Tables: task, task_calendar.
 */
package app.jemble.task;
