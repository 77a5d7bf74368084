/**
 * Measures what is claimed, as ratios taken in one run: peer and product interleaved, medians after
 * a warm-up. Start with {@link app.jemble.bench.Bench}.
 */
package app.jemble.bench;
