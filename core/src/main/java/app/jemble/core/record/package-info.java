/**
 * Fields, typed values and the field catalogue: what is known of a person, and by which name every
 * other part asks for it. Read {@link app.jemble.core.record.FieldCatalogue} first.
 */
package app.jemble.core.record;
