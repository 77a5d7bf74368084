package app.jemble.account;

import app.jemble.browser.ChangeRefused;
import app.jemble.browser.PageScripts;
import app.jemble.browser.PageTokens;
import app.jemble.settings.JembleSettings;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import org.springframework.boot.session.autoconfigure.DefaultCookieSerializerCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.SessionIdGenerator;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;

/**
 * Who gets in. The screens' files and what readers of mail fetch are open; everything under /api
 * wants a session, and every change a token that another site cannot know.
 */
@Configuration
class SecurityConfig {

  /** The page runs its own scripts only; proofs are shown in a frame that runs none. */
  private static final String CONTENT_POLICY =
      "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: http: https:;"
          + " script-src 'self' %s; frame-src 'self'; object-src 'none'; base-uri 'self';"
          + " frame-ancestors 'self'; form-action 'self'";

  @Bean
  SecurityFilterChain security(
      HttpSecurity http,
      PageTokens tokens,
      ChangeRefused refused,
      SecurityContextRepository contexts,
      Environment environment)
      throws Exception {
    return http.authorizeHttpRequests(
            ways ->
                ways.requestMatchers(
                        "/api/session", "/api/password-links/**", "/api/first-start/**")
                    .permitAll()
                    .requestMatchers("/api/**", "/v3/api-docs/**", "/v3/api-docs.yaml")
                    .authenticated()
                    // For whoever watches over the process: on a port of its own, whose address the
                    // settings bind; where it is the house's own port, from this machine alone.
                    .requestMatchers("/actuator/**")
                    .access(
                        (who, asked) ->
                            new AuthorizationDecision(
                                !isAtHousesPort(asked.getRequest(), environment)
                                    || isLoopback(asked.getRequest().getRemoteAddr())))
                    .anyRequest()
                    .permitAll())
        .csrf(
            csrf ->
                csrf.csrfTokenRepository(tokens)
                    .ignoringRequestMatchers("/leave/*", "/join/**", "/app/**"))
        .securityContext(context -> context.securityContextRepository(contexts))
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED))
                    .accessDeniedHandler(refused))
        .headers(
            headers ->
                headers
                    // The gate of all requests says these already, and with them what it adds.
                    .contentTypeOptions(options -> options.disable())
                    .httpStrictTransportSecurity(strict -> strict.disable())
                    .frameOptions(frame -> frame.sameOrigin())
                    .contentSecurityPolicy(
                        policy ->
                            policy.policyDirectives(
                                String.format(Locale.ROOT, CONTENT_POLICY, PageScripts.sources()))))
        .requestCache(cache -> cache.disable())
        .formLogin(form -> form.disable())
        .httpBasic(basic -> basic.disable())
        .logout(logout -> logout.disable())
        .build();
  }

  private static boolean isAtHousesPort(HttpServletRequest request, Environment environment) {
    return String.valueOf(request.getLocalPort())
        .equals(environment.getProperty("local.server.port"));
  }

  private static boolean isLoopback(String address) {
    return address.startsWith("127.") || address.equals("::1") || address.equals("0:0:0:0:0:0:0:1");
  }

  /**
   * A cookie goes over https alone, unless the house is of this machine alone or says otherwise.
   */
  @Bean
  DefaultCookieSerializerCustomizer cookies(JembleSettings settings) {
    boolean secure = isSecure(settings);
    return cookie -> cookie.setUseSecureCookie(secure);
  }

  static boolean isSecure(JembleSettings settings) {
    String said = settings.secureCookies() == null ? "" : settings.secureCookies().strip();
    String host = URI.create(settings.publicUrl()).getHost();
    boolean own =
        host == null || host.equals("localhost") || isLoopback(host.replaceAll("[\\[\\]]", ""));
    return said.isEmpty() ? !own : Boolean.parseBoolean(said);
  }

  /**
   * 216 bits of a secure source, where the usual UUID has 122 (OWASP ASVS 5, V7.2.3 asks for 128):
   * 36 letters, as the column has.
   */
  @Bean
  SessionIdGenerator sessionIds() {
    SecureRandom random = new SecureRandom();
    return () -> {
      byte[] octets = new byte[27];
      random.nextBytes(octets);
      return Base64.getUrlEncoder().withoutPadding().encodeToString(octets);
    };
  }

  /** What requests of one session at once write of it, the last one keeps; none of them fails. */
  @Bean
  PostgreSqlJdbcIndexedSessionRepositoryCustomizer sessionsAtOnce() {
    return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
  }

  @Bean
  SecurityContextRepository securityContexts() {
    return new HttpSessionSecurityContextRepository();
  }

  @Bean
  PasswordEncoder passwordEncoder() {
    return new HousePasswords();
  }

  @Bean
  UserDetailsService users(AccountMapper accounts) {
    return login -> {
      AccountMapper.AccountRow account = accounts.findByLogin(login);
      String hash = account == null ? null : accounts.passwordHash(login);
      if (account == null || account.off() || hash == null) {
        throw new UsernameNotFoundException(login);
      }
      return User.withUsername(account.login()).password(hash).authorities(List.of()).build();
    };
  }

  @Bean
  AuthenticationManager authentication(
      UserDetailsService users, PasswordEncoder passwords, AccountMapper accounts) {
    DaoAuthenticationProvider provider = new DaoAuthenticationProvider(users);
    provider.setPasswordEncoder(passwords);
    // What was kept in an older way is kept anew.
    provider.setUserDetailsPasswordService(
        (user, hash) -> {
          accounts.setPassword(accounts.findByLogin(user.getUsername()).id(), hash);
          return User.withUserDetails(user).password(hash).build();
        });
    return new ProviderManager(provider);
  }
}
