/**
 * Addresses that are never written to: seen, added to, brought in, given out, lifted, and known
 * again when the person they were of is not on record any more. Read {@link
 * app.jemble.barred.BarredAddresses} first.
 *
 * <p>Tables: do_not_write, written_to_again, erased_address.
 */
package app.jemble.barred;
