/**
 * Templates: reusable messages and what they were before each change. Read {@link
 * app.jemble.template.TemplateService} first.
 *
 * <p>Tables: template, template_version.
 */
package app.jemble.template;
