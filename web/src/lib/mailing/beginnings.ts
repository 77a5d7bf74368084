import type { HouseDocument, MailingRow, Template } from '$lib/api/types';
import { hasWords } from '$lib/format/fold';

/** What a mailing can begin from: a template, one that has left, or nothing. */
export interface Beginning {
  key: string;
  name: string;
  subject: string;
  templateId: number | null;
  mailingId: number | null;
  /** A document that letters are made of. */
  documentId: number | null;
  /** When it was released, for a mailing. */
  releasedAt: string | null;
}

/** As many earlier mailings are offered before anything is typed. */
const LATEST = 5;
const MOST = 40;

export const EMPTY: Beginning = {
  key: 'empty',
  name: 'An empty message',
  subject: '',
  templateId: null,
  mailingId: null,
  documentId: null,
  releasedAt: null
};

type Named = Pick<Template, 'id' | 'name' | 'subject'>;
type Left = Pick<MailingRow, 'id' | 'name' | 'subject' | 'releasedAt' | 'sent'>;

/** What has all the words in its name or subject: templates first, then what left, newest first. */
export function beginnings(
  words: string,
  templates: Named[],
  mailings: Left[],
  documents: Pick<HouseDocument, 'id' | 'name'>[] = []
): Beginning[] {
  const typed = words.trim();
  const fits = (b: Beginning) => hasWords(`${b.name} ${b.subject}`, typed);
  const left = mailings
    .filter((m) => m.releasedAt && m.sent > 0)
    .sort((a, b) => b.releasedAt.localeCompare(a.releasedAt))
    .map(ofMailing)
    .filter(fits);
  const found = [
    ...documents.map(ofDocument).filter(fits),
    ...templates.map(ofTemplate).filter(fits),
    ...(typed ? left : left.slice(0, LATEST))
  ];
  return [...found.slice(0, MOST), ...(fits(EMPTY) ? [EMPTY] : [])];
}

function ofTemplate({ id, name, subject }: Named): Beginning {
  return { ...EMPTY, key: `template-${id}`, name, subject, templateId: id };
}

function ofDocument({ id, name }: Pick<HouseDocument, 'id' | 'name'>): Beginning {
  const subject = 'A letter on paper, made of this document';
  return { ...EMPTY, key: `document-${id}`, name, subject, documentId: id };
}

function ofMailing({ id, name, subject, releasedAt }: Left): Beginning {
  return { ...EMPTY, key: `mailing-${id}`, name, subject, mailingId: id, releasedAt };
}
