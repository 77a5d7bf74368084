/**
 * What comes back from phones: what the network says of texts, and what people answer. It is kept
 * before the network is told so, and looked at afterwards. Read {@link app.jemble.phone.PhoneRun}
 * first.
 *
 * <p>Tables: text_receipt, text_arrival.
 */
package app.jemble.phone;
