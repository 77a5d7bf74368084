package app.jemble.outside;

import app.jemble.core.house.DomainRecord;
import java.util.ArrayList;
import java.util.Hashtable;
import java.util.List;
import java.util.Optional;
import javax.naming.Context;
import javax.naming.NameNotFoundException;
import javax.naming.NamingEnumeration;
import javax.naming.NamingException;
import javax.naming.directory.Attribute;
import javax.naming.directory.InitialDirContext;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** Asks what stands in the records of a domain, by the resolver of the JDK. */
@Service
public class DomainLookUp {

  private static final String FACTORY = "com.sun.jndi.dns.DnsContextFactory";
  private static final String MILLIS = "2000";
  private static final String TRIES = "2";

  private final String servers;

  /**
   * @param servers who is asked, as host and port with blanks between; empty: those of the machine
   */
  DomainLookUp(@Value("${jemble.name-servers}") String servers) {
    this.servers = servers.strip();
  }

  /** The texts of a record; of MX preference and host. Empty when nobody answers. */
  public Optional<List<String>> ask(DomainRecord wanted) {
    String type = wanted.kind() == DomainRecord.Kind.MX ? "MX" : "TXT";
    InitialDirContext context = null;
    try {
      context = new InitialDirContext(environment());
      return Optional.of(
          texts(context.getAttributes(wanted.name(), new String[] {type}).get(type)));
    } catch (NameNotFoundException none) {
      return Optional.of(List.of());
    } catch (NamingException away) {
      return Optional.empty();
    } finally {
      close(context);
    }
  }

  private Hashtable<String, String> environment() {
    Hashtable<String, String> environment = new Hashtable<>();
    environment.put(Context.INITIAL_CONTEXT_FACTORY, FACTORY);
    environment.put(Context.PROVIDER_URL, url());
    environment.put("com.sun.jndi.dns.timeout.initial", MILLIS);
    environment.put("com.sun.jndi.dns.timeout.retries", TRIES);
    return environment;
  }

  private String url() {
    return servers.isEmpty() ? "dns:" : "dns://" + String.join(" dns://", servers.split("\\s+"));
  }

  private static List<String> texts(Attribute found) throws NamingException {
    List<String> texts = new ArrayList<>();
    if (found != null) {
      NamingEnumeration<?> each = found.getAll();
      while (each.hasMore()) {
        texts.add(joined(String.valueOf(each.next())));
      }
    }
    return texts;
  }

  /** A text in pieces, each in quotes, is one (RFC 7208 section 3.3). */
  private static String joined(String text) {
    return text.startsWith("\"") ? text.replaceAll("\"\\s+\"", "").replaceAll("^\"|\"$", "") : text;
  }

  private static void close(InitialDirContext context) {
    if (context != null) {
      try {
        context.close();
      } catch (NamingException alreadyGone) {
        // Nothing is left to be closed.
      }
    }
  }
}
