import { answer, api } from '$lib/api/client';
import type { Conversation, ConversationStep, TheirMail } from '$lib/api/types';

/** What a person can say that a mail is, as a choice to press. */
export const readings = [
  { what: 'REPLY', words: 'a reply', kind: 'REPLIED' },
  { what: 'AUTO_REPLY', words: 'written by software', kind: 'AUTO_REPLIED' },
  { what: 'NOT_AN_ANSWER', words: 'not an answer to this', kind: null }
] as const;

export type Reading = (typeof readings)[number]['what'];

/** The mail that an answer would answer; null where none came. */
export function toAnswer(conversation: Conversation): TheirMail | null {
  const step = conversation.steps.find((s) => s.theirs?.mailId === conversation.answerable);
  return step?.theirs ?? null;
}

/** Whether a person has still to say what a mail is: software guessed, or could not. */
export function unclear(mail: TheirMail): string | null {
  if (mail.kind === null) return 'It came back, and nobody but a person can read why.';
  if (mail.unsure) {
    const address = /<([^>]*)>/.exec(mail.from)?.[1] ?? mail.from;
    return `${address} is not on record for them. Did they write it?`;
  }
  return null;
}

/** The steps that are mail; the others are signs of reading. */
export function letters(conversation: Conversation): ConversationStep[] {
  return conversation.steps.filter((s) => s.sign === null);
}

export function signs(conversation: Conversation): ConversationStep[] {
  return conversation.steps.filter((s) => s.sign !== null);
}

/** The name out of "Bea Okonjo <bea@okonjo.example>", else the address. */
export function writer(from: string): string {
  const name = from
    .replace(/<[^>]*>/, '')
    .replaceAll('"', '')
    .trim();
  return name || from.replace(/[<>]/g, '');
}

export function conversationQuery(message: number) {
  return {
    queryKey: ['conversation', message],
    queryFn: () =>
      answer(
        api.GET('/api/conversations/{messageId}', { params: { path: { messageId: message } } })
      )
  };
}
