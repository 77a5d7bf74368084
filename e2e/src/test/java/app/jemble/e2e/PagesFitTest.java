package app.jemble.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Read from the running pages at three sizes, with bars to scroll with: nothing scrolls sideways,
 * nothing that scrolls lies in something that scrolls, and no text is cut whose whole is out of
 * reach. Every page is looked at by axe-core as well.
 */
public class PagesFitTest extends BrowserTest {

  private static final int[][] SIZES = {{1280, 800}, {1024, 700}, {390, 844}};

  private static final String LOOK =
      """
      () => {
        const found = [];
        const seen = (e) => e.getClientRects().length > 0 &&
          getComputedStyle(e).visibility !== 'hidden' && !e.closest('.sr-only');
        const told = (e) => `${e.tagName.toLowerCase()}${e.id ? '#' + e.id : ''}` +
          ` “${(e.getAttribute('aria-label') || e.textContent || '').trim().slice(0, 50)}”`;
        const scrolls = (e, side) => {
          const style = getComputedStyle(e);
          const flow = side === 'x' ? style.overflowX : style.overflowY;
          const more = side === 'x' ? e.scrollWidth - e.clientWidth : e.scrollHeight - e.clientHeight;
          return ['auto', 'scroll'].includes(flow) && more > 1;
        };
        const root = document.documentElement;
        if (root.scrollWidth > root.clientWidth) found.push('the page scrolls sideways');
        for (const e of document.querySelectorAll('body *')) {
          if (!seen(e) || e.tagName === 'IFRAME') continue;
          if (scrolls(e, 'x') && !['TEXTAREA', 'INPUT', 'PRE'].includes(e.tagName)) {
            const edge = e.getBoundingClientRect().left + e.clientWidth;
            const out = [...e.querySelectorAll('*')].filter((c) => seen(c) &&
              c.getBoundingClientRect().right > edge + 1).pop();
            found.push('sideways: ' + told(e) + (out ? ', because of ' + told(out) : ''));
          }
          if (scrolls(e, 'y')) {
            for (let up = e.parentElement; up; up = up.parentElement) {
              if (scrolls(up, 'y')) { found.push(`${told(e)} scrolls within ${told(up)}`); break; }
            }
          }
          const style = getComputedStyle(e);
          const cut = style.overflowX === 'hidden' && e.scrollWidth > e.clientWidth + 1 &&
            (style.textOverflow === 'ellipsis' || style.webkitLineClamp !== 'none');
          const clamped = style.webkitLineClamp !== 'none' && e.scrollHeight > e.clientHeight + 1;
          const ownText = [...e.childNodes].some((n) => n.nodeType === 3 && n.textContent.trim());
          if ((cut || clamped) && (ownText || e.textContent.trim()) &&
              !e.closest('[title]') && !e.querySelector('[title]') && e.tagName !== 'INPUT') {
            found.push('cut: ' + told(e));
          }
        }
        return found;
      }
      """;

  private long draft;
  private long sent;
  private long message;

  @Override
  protected int people() {
    return 400;
  }

  @BeforeClass(dependsOnMethods = "openBrowser")
  public void haveSomethingToLookAt() {
    signIn("wilma");
    draft = one("select min(id) from cause where kind = 'MAILING' and state = 'draft'");
    sent =
        one(
            "select cause_id from message where state = 'sent' group by cause_id"
                + " order by count(*) desc limit 1");
    message = one("select min(message_id) from response where kind = 'REPLIED'");
  }

  private long one(String query) {
    return sql.sql(query).query(Long.class).single();
  }

  @DataProvider
  public Object[][] pages() {
    List<Object[]> pages = new ArrayList<>();
    for (String path :
        List.of(
            "desk",
            "people",
            "people/1",
            "people/import",
            "people/sign-ups",
            "people/sign-ups/new",
            "quotes",
            "events",
            "tasks",
            "lists",
            "templates",
            "templates/1",
            "templates/new",
            "letterheads",
            "letterheads/1",
            "mailings",
            "mailings/series",
            "mailings/days",
            "mailings/DRAFT",
            "mailings/SENT",
            "outbox",
            "responses",
            "responses/SENT",
            "responses/SENT?view=course",
            "responses/SENT?view=groups",
            "responses/SENT?view=earlier",
            "responses/with/MESSAGE",
            "responses/unplaced",
            "settings/house",
            "settings/topics",
            "settings/mail",
            "settings/sending",
            "settings/counting",
            "settings/texts",
            "settings/fields",
            "settings/do-not-write",
            "settings/signature",
            "settings/sessions")) {
      pages.add(new Object[] {path});
    }
    return pages.toArray(Object[][]::new);
  }

  @Test(dataProvider = "pages")
  public void aPageFitsAtEverySize(String path) {
    String where =
        path.replace("DRAFT", Long.toString(draft))
            .replace("SENT", Long.toString(sent))
            .replace("MESSAGE", Long.toString(message));
    List<String> found = new ArrayList<>();
    page.navigate(home + "/" + where);
    for (int[] size : SIZES) {
      page.setViewportSize(size[0], size[1]);
      page.waitForTimeout(400);
      List<?> odd = (List<?>) page.evaluate(LOOK);
      odd.forEach(o -> found.add(size[0] + " × " + size[1] + ": " + o));
    }
    page.setViewportSize(SIZES[0][0], SIZES[0][1]);
    assertThat(found).as(path).isEmpty();
    assertAccessible(path);
  }
}
