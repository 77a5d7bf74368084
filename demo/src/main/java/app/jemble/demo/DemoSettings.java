package app.jemble.demo;

import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * @param enabled whether an empty database is filled with the demo
 * @param people how many people, 1 or more
 * @param seed the same seed gives the same data
 * @param series whether there are series, which write by themselves as time goes on
 * @param appLinks a file to which the links of those who have the app are written; empty for none
 * @param password of the demo's colleagues
 */
@ConfigurationProperties("jemble.demo")
record DemoSettings(
    @DefaultValue("false") boolean enabled,
    @DefaultValue("1500") int people,
    @DefaultValue("2026") long seed,
    @DefaultValue("true") boolean series,
    @DefaultValue("") String appLinks,
    @DefaultValue("") String password) {}
