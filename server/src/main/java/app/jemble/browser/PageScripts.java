package app.jemble.browser;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.io.ClassPathResource;

/** The inline scripts of the one page, as Content Security Policy names them: by their hashes. */
public final class PageScripts {

  private static final Pattern INLINE = Pattern.compile("<script>(.*?)</script>", Pattern.DOTALL);

  private PageScripts() {}

  /** {@code 'sha256-…'} for each inline script (CSP Level 3 section 2.3.1); none without a page. */
  public static String sources() {
    ClassPathResource page = new ClassPathResource("static/index.html");
    if (!page.exists()) {
      return "";
    }
    List<String> hashes = new ArrayList<>();
    try (InputStream in = page.getInputStream()) {
      Matcher script = INLINE.matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8));
      while (script.find()) {
        hashes.add("'sha256-" + hash(script.group(1)) + "'");
      }
    } catch (IOException e) {
      throw new UncheckedIOException("the page that ships with the application is unreadable", e);
    }
    return String.join(" ", hashes);
  }

  private static String hash(String script) {
    try {
      MessageDigest sha256 = MessageDigest.getInstance("SHA-256");
      return Base64.getEncoder()
          .encodeToString(sha256.digest(script.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every JDK has SHA-256", e);
    }
  }
}
