/** What is found before release. Read {@link app.jemble.core.check.ReleaseCheck} first. */
package app.jemble.core.check;
