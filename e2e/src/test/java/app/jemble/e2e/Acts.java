package app.jemble.e2e;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;

/** What somebody does with hands, counted: a click, a key, a typed value. Texts are apart. */
final class Acts {

  private final Page page;
  private final String job;
  private final List<String> done = new ArrayList<>();

  Acts(Page page, String job) {
    this.page = page;
    this.job = job;
  }

  Acts click(String what, Locator where) {
    where.click();
    done.add("click " + what);
    return this;
  }

  /** A field is filled, or a choice is made, wherever it stands. */
  Acts fill(String what, Locator where, String value) {
    where.fill(value);
    done.add(what + " “" + value + "”");
    return this;
  }

  Acts choose(String what, Locator where, String value) {
    where.selectOption(value);
    done.add(what + " “" + value + "”");
    return this;
  }

  Acts press(String key) {
    page.keyboard().press(key);
    done.add(key);
    return this;
  }

  Acts type(String value) {
    page.keyboard().type(value);
    done.add("“" + value + "”");
    return this;
  }

  /** The words of a message, which are no act. */
  Acts write(String text) {
    page.keyboard().type(text);
    return this;
  }

  /** How many acts it took; says which. */
  int count() {
    System.out.println("ACTS " + done.size() + " · " + job + ": " + String.join(", ", done));
    return done.size();
  }
}
