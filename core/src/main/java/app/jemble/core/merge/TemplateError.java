package app.jemble.core.merge;

/**
 * Trouble in a template's text.
 *
 * @param position where it stands
 * @param sentence what is wrong and what would be right, for people
 */
public record TemplateError(Position position, String sentence) {}
