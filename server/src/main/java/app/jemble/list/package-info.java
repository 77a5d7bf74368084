/** Lists: people picked by hand and kept together. */
package app.jemble.list;
