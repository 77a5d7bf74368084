/** When the workspace lets messages leave: hours, days off, caps. */
package app.jemble.sending;
