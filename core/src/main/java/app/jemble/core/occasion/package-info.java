/**
 * Days that come round: on which day a person's falls, how many years it is, and what is due of it.
 * Read {@link app.jemble.core.occasion.Occasion} first.
 */
package app.jemble.core.occasion;
