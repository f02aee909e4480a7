import { simpleParser, type Attachment, type ParsedMail } from 'mailparser';

/** What goes along with a message, without the pictures that stand in its words. */
export function attachmentsIn({ attachments }: ParsedMail): Attachment[] {
  return attachments.filter(({ related }) => !related);
}

/** What one of them holds, by its place. Undefined: there is none. */
export async function contentOf(raw: string, place: number): Promise<Attachment | undefined> {
  return attachmentsIn(await simpleParser(raw))[place];
}
