/**
 * The house: its name, zone and language, its topics, plans and fields of its own. Read {@link
 * app.jemble.workspace.WorkspaceService} first.
 *
 * <p>Tables: workspace, attribute, plan, topic, standing_word.
 */
package app.jemble.workspace;
