import { headerLines } from './headerLines';
import type { IncomingMail } from './incomingMail';
import { addressIn, type ReportedDelivery } from './reportedDelivery';
import { readReportInWords } from './reportInWords';

/** So many addresses of one report are read; a letter has no more. */
const MOST = 200;
const LONGEST_WORDS = 500;

/** What a delivery report says, address by address; undefined where the message is none. */
export function readReport(mail: IncomingMail): ReportedDelivery[] | undefined {
  if (mail.report) {
    const told = readFields(mail.report.fields);
    if (told.length) return told;
  }
  return readReportInWords(mail);
}

const STATES: Readonly<Record<string, ReportedDelivery['state']>> = {
  failed: 'bounced',
  delayed: 'delayed',
  delivered: 'delivered',
  // Handed on to a server that tells nothing more, or to the members of a list.
  relayed: 'delivered',
  expanded: 'delivered',
};

/** The groups of fields of a message/delivery-status (RFC 3464, 2.3): the first is of the message, each other of one address. */
function readFields(text: string): ReportedDelivery[] {
  return text
    .replace(/\r\n?/g, '\n')
    .split(/\n[ \t]*\n/)
    .slice(0, MOST)
    .flatMap((group) => {
      const fields = new Map<string, string>();
      for (const { key, line } of headerLines(group))
        if (key && !fields.has(key)) fields.set(key, line.slice(line.indexOf(':') + 1).trim());
      const state = STATES[fields.get('action')?.toLowerCase() ?? ''];
      const recipient = fields.get('original-recipient') ?? fields.get('final-recipient');
      if (!state || recipient === undefined) return [];
      const status = /\d\.\d{1,3}\.\d{1,3}/.exec(fields.get('status') ?? '')?.[0] ?? '';
      const words = afterType(fields.get('diagnostic-code') ?? '');
      return [
        { address: addressIn(afterType(recipient)), state, status, words: words.slice(0, LONGEST_WORDS) },
      ];
    });
}

/** What stands behind “rfc822;” or “smtp;”. */
function afterType(value: string): string {
  return value
    .slice(value.indexOf(';') + 1)
    .replace(/\s+/g, ' ')
    .trim();
}
