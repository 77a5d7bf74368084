/**
 * Numbers of things, each in a type of its own: one is never taken for another. An enumeration
 * without names is a number to everyone else.
 */
declare enum Person {}
declare enum Message {}

/** Which person. */
export type PersonId = Person;

/** Which message: somebody's own copy. */
export type MessageId = Message;
