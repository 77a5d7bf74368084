import type { Template, TemplateDraft } from '$lib/api/types';

/** What a new template begins with: the usual greeting, room for the message, the signature. */
export function beginning(
  letterheadId: number | null,
  topicId: number,
  body: string
): TemplateDraft {
  return {
    name: '',
    label: '',
    startsFrom: 'person',
    private: false,
    subject: '',
    body,
    topicId,
    letterheadId,
    promotional: true,
    version: 0
  };
}

/** A template as it can be changed. */
export function draftOf(t: Template): TemplateDraft {
  return {
    name: t.name,
    label: t.label,
    startsFrom: t.startsFrom,
    private: t.private,
    subject: t.subject,
    body: t.body,
    topicId: t.topicId,
    letterheadId: t.letterheadId,
    promotional: t.promotional,
    version: t.version
  };
}
