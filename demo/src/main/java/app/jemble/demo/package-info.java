/**
 * The made-up boatyard that a demo shows: people, templates, ninety days of mailings and what came
 * back. Seeded: the same seed gives the same data. It fills empty tables by COPY, all subjects at
 * once, and is never active outside the demo.
 */
package app.jemble.demo;
