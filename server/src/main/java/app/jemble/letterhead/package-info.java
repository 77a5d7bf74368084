/** Letterheads: what stands around a message. */
package app.jemble.letterhead;
