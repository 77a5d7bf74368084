/**
 * The application: HTTP API, storage, outbox and responses. One package a subject; the rules live
 * in {@code app.jemble.core}.
 */
package app.jemble;
