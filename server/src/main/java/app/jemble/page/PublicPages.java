package app.jemble.page;

import app.jemble.letterhead.LetterheadService;
import app.jemble.workspace.WorkspaceService;
import freemarker.core.HTMLOutputFormat;
import freemarker.template.Configuration;
import freemarker.template.DefaultObjectWrapperBuilder;
import freemarker.template.TemplateException;
import freemarker.template.TemplateExceptionHandler;
import freemarker.template.Version;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * Makes pages of the templates in {@code pages/}. Whatever is put into one is escaped for HTML
 * unless the template says otherwise, which it does of our own words alone. A template makes no
 * object.
 */
@Component
public class PublicPages {

  private static final Version VERSION = Configuration.VERSION_2_3_34;

  private final LetterheadService letterheads;
  private final WorkspaceService workspace;
  private final Configuration templates = new Configuration(VERSION);

  PublicPages(LetterheadService letterheads, WorkspaceService workspace) {
    this.letterheads = letterheads;
    this.workspace = workspace;
    templates.setClassLoaderForTemplateLoading(PublicPages.class.getClassLoader(), "pages");
    templates.setOutputFormat(HTMLOutputFormat.INSTANCE);
    templates.setDefaultEncoding(StandardCharsets.UTF_8.name());
    templates.setLocale(Locale.ROOT);
    templates.setNumberFormat("computer");
    templates.setTemplateExceptionHandler(TemplateExceptionHandler.RETHROW_HANDLER);
    templates.setLogTemplateExceptions(false);
    templates.setAPIBuiltinEnabled(false);
    templates.setNewBuiltinClassResolver(
        (name, env, template) -> {
          throw new TemplateException("pages make no objects: " + name, env);
        });
    DefaultObjectWrapperBuilder values = new DefaultObjectWrapperBuilder(VERSION);
    values.setExposeFields(false);
    templates.setObjectWrapper(values.build());
  }

  /**
   * A page in the house's look.
   *
   * @param name of the template, such as {@code leaving.ftlh}
   * @param page what it shows, in the template {@code page}
   */
  public String html(String name, Object page) {
    Map<String, Object> shown =
        Map.of(
            "page",
            page,
            "house",
            workspace.current(),
            "style",
            letterheads.of(letterheads.first()).orElseThrow());
    StringWriter html = new StringWriter();
    try {
      templates.getTemplate(name).process(shown, html);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (TemplateException e) {
      throw new IllegalStateException("the page " + name + " cannot be made", e);
    }
    return html.toString();
  }
}
