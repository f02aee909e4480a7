import { IN_REPLY, message, type Awkward } from './awkward';

function away(name: string, more: Record<string, string | undefined>, words: string): Awkward {
  return { name, raw: message(more, words), told: { is: 'out of office', about: IN_REPLY, words } };
}

function bySubject(language: string, Subject: string, words: string): Awkward {
  return away(`out of office in ${language}, by its subject alone`, { Subject }, words);
}

/** What programs answer by themselves, and what only sounds like it. */
export const AWAY: readonly Awkward[] = [
  away(
    'out of office as the standard has it',
    { 'Auto-Submitted': 'auto-replied' },
    'I am away until Monday.',
  ),
  away('with a comment behind', { 'Auto-Submitted': 'auto-replied (vacation)' }, 'I am away until Monday.'),
  away('by an old header', { 'X-Autoreply': 'yes' }, 'I am away.'),
  away('by another old header', { 'X-Autorespond': '' }, 'I am away.'),
  away('by its precedence', { Precedence: 'auto_reply' }, 'I am away.'),
  bySubject('English', 'Automatic reply: Your visit', 'I am out of the office until Monday.'),
  bySubject('English, otherwise', 'Out of Office: Your visit', 'I am away.'),
  bySubject('German', 'Automatische Antwort: Ihr Termin', 'Ich bin bis Montag nicht im Büro.'),
  bySubject('German, otherwise', 'Abwesenheitsnotiz: Ihr Termin', 'Ich bin im Urlaub.'),
  bySubject('French', '=?utf-8?q?R=C3=A9ponse_automatique_=3A_Votre_visite?=', 'Je suis absent.'),
  bySubject('Spanish', '=?utf-8?q?Respuesta_autom=C3=A1tica=3A_Su_visita?=', 'Estoy fuera.'),
  bySubject('Italian', 'Risposta automatica: La visita', 'Sono assente.'),
  bySubject('Dutch', 'Automatisch antwoord: Uw bezoek', 'Ik ben afwezig.'),
  bySubject('Swedish', 'Autosvar: Ditt besök', 'Jag är borta.'),
  {
    name: 'written by a program for nobody’s question',
    raw: message(
      { 'Auto-Submitted': 'auto-generated', 'In-Reply-To': undefined, Subject: 'Your weekly figures' },
      'Up.',
    ),
    told: { is: 'other', automatic: true, about: null },
  },
  {
    name: 'a circular',
    raw: message(
      { 'List-Unsubscribe': '<mailto:no@news.example>', 'In-Reply-To': undefined, Subject: 'Our news' },
      'Felt is cheap.',
    ),
    told: { is: 'other', automatic: true },
  },
  {
    name: 'sent to many',
    raw: message({ Precedence: 'bulk', 'In-Reply-To': undefined, Subject: 'Felt' }, 'Felt is cheap.'),
    told: { is: 'other', automatic: true },
  },
  {
    name: 'written by a person whose program says so',
    raw: message({ 'Auto-Submitted': 'no' }, 'Yes.'),
    told: { is: 'answer', about: IN_REPLY },
  },
  ...[
    'On holiday next week',
    'Re: On holiday next week',
    'Out of office hours, could you come?',
    'Automatic piano: can you mend it?',
    'Im Urlaub: Termin verschieben',
  ].map((Subject) => ({
    name: `a person’s “${Subject}”`,
    raw: message({ Subject }, 'Could you come after that?'),
    told: { is: 'answer' as const, about: IN_REPLY },
  })),
  {
    name: 'a person who is away and wrote themselves',
    raw: message({}, 'I am out of office until Monday, but yes please!'),
    told: { is: 'answer', words: 'I am out of office until Monday, but yes please!' },
  },
];
