/** Words near a fact that tell which of several like it is meant, in English, German and French. */
const CUES: readonly [fact: RegExp, cue: RegExp][] = [
  [
    /^invoice\.balance$/,
    /still|left|\bopen\b|\bowe|owing|outstanding|to pay|not (?:yet )?reached|has not|remain|offen|aussteh|noch nicht|reste|overdue|reminder/iu,
  ],
  [
    /^invoice\.total$/,
    /total|\bover\b|comes to|amounts|altogether|in all|invoice .{0,25}(?:for|over|of)|of (?:our |the |your )?invoice|gesamt|über|insgesamt|montant/iu,
  ],
  [/^invoice\.paid$/, /so far|of which|already|bereits|bisher|déjà/iu],
  [
    /^invoice\.last_payment$/,
    /payment|received|thank|arrived|came|reached|zahlung|eingegangen|erhalten|paiement|reçu/iu,
  ],
  [/^invoice\.net$/, /before (?:tax|vat)|net\b|without|netto|\bht\b/iu],
  [/^invoice\.tax$/, /\btax\b|\bvat\b|mwst|tva/iu],
  [/\.outstanding$/, /in all|altogether|account|statement|insgesamt|outstanding|owe/iu],
  [/^booking\.price$/, /cost|price|fee|charge|kostet|preis|prix|coûte/iu],
  [/^project\.value$/, /estimate|quote|work would|cost|agreed|kosten|devis/iu],
  [
    /^invoice\.due_on$/,
    /\bdue\b|\bby\b|payable|pay|until|overdue|fällig|bis zum|zahlbar|échéance|avant le|payer/iu,
  ],
  [/^invoice\.issued_on$/, /dated|issued|wrote|written|invoice .{0,25}(?:of|from)|sent|vom|du\s/iu],
  [/^invoice\.last_paid_on$/, /received|paid|payment|arrived|came|eingegangen|erhalten|reçu/iu],
  [
    /^booking\.(?:starts_at|date)$/,
    /com(?:e|es|ing)\b|visit|appointment|book|tun|see you|confirm|expect|termin|kommen|kommt|besuch|stimm|venons|rendez/iu,
  ],
  [/^project\.starts_on$/, /begin|start|beginn|commenc/iu],
  [/^project\.ends_on$/, /ready|finish|done|complete|by\b|end|fertig|terminé|prêt/iu],
  [/next_booking\./, /next|nächst|prochain/iu],
  [/last_booking\./, /\blast\b|since|ago|letzt|dernier/iu],
  [/^client\.since$/, /since|seit|depuis/iu],
  [/^invoice\.days_overdue$/, /overdue|late|over|überfällig|retard/iu],
  [/^invoice\.days_until_due$/, /due|left|until|noch/iu],
  [/^booking\.days_until$/, /\bin\b|until|noch/iu],
  [/^enquiry\./, /ask|enquir|wrote|message|anfrage|demande/iu],
  [/billing_address|bill_to/, /bill|invoice|rechnung|factur/iu],
  [/^business\./, /\b(?:our|us|we|reach|write|ring|call)\b|uns\b|nous|notre/iu],
  [/^sender\./, /\b(?:me|my|I)\b|mich|mir|moi|mon\b/u],
  [/^booking\.location/, /\bat\b|come to|\bin\b|bei|chez/iu],
];

/** The end of something is spoken of right before it. */
const END = /^booking\.(?:ends_at|end_time)$/;
const ENDS = /(?:until|till|to|by|–|-|bis|jusqu[’']à|and)\s*$/iu;

/** How far before and behind a fact its cue may stand, in UTF-16 units: about a clause. */
const BEFORE = 70;
const BEHIND = 30;

/** What stands near a place: in its sentence, before and behind it. */
export interface Near {
  before: string;
  around: string;
}

export function nearTo(text: string, from: number, to: number): Near {
  const before = text.slice(Math.max(0, from - BEFORE), from);
  const behind = text.slice(to, to + BEHIND);
  // Another sentence speaks of something else.
  const around = `${before.split(/[.!?]\s|\n/u).at(-1)!} ${behind.split(/[.!?](?:\s|$)|\n/u)[0]!}`;
  return { before, around };
}

const byPath = new Map<string, readonly RegExp[]>();

/** Whether words near a place speak of a fact. */
export function isSpokenOf(path: string, { before, around }: Near): boolean {
  if (END.test(path)) return ENDS.test(before);
  let cues = byPath.get(path);
  if (!cues) byPath.set(path, (cues = CUES.filter(([fact]) => fact.test(path)).map(([, cue]) => cue)));
  return cues.some((cue) => cue.test(around));
}
