/** Pictures on record, which messages and pages show. */
package app.jemble.picture;
