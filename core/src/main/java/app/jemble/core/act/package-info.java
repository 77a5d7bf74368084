/** What is done after something: one act, whatever it was that asked for it. */
package app.jemble.core.act;
