/** Tasks: what a colleague is to do, mostly for or with a person, by a day. */
package app.jemble.task;
