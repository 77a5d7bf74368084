/** How values that JDBC does not know are stored. */
package app.jemble.storage;
