/**
 * Template text, parsed once and rendered for each person. The notation is that of open logic-less
 * templates (double braces, sections, inverted sections, notes) with two words of our own, {@code
 * or} and {@code as}. Read {@link app.jemble.core.merge.TemplateParser} first.
 */
package app.jemble.core.merge;
