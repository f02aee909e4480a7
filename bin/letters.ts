import path from 'node:path';
import { demonstrationDesk } from '../src/server/writing/demonstrationDesk';
import { everyLetter, type WrittenLetter } from './letters/everyLetter';
import { meanReciprocalRank, placed, rankedDemonstration } from './letters/ranking';
import { measure } from './letters/recognised/measure';
import { filledLetters, typedLetters } from './letters/recognised/toldLetters';
import { SITUATIONS, SITUATIONS_AT } from './letters/situations';
import { stumblesOf } from './letters/rulesOfEnglish';

// Whoever reads may stop early, as “head” does.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

// npm run letters -- ["Name of a template" [record:KEY]]: the demonstration's letters. Without a name all of them are
// read, and what a rule finds is listed; the exit code tells whether there was anything. With --proof: what the proof says of
// each letter that fits, to be read by eye. With --recognised: how well clients’ facts are found in letters. With --ranking: where the right template stands in situations that were written down.
const [name, record] = process.argv.slice(2);
const desk = await demonstrationDesk(path.resolve('src/data/demonstration'), Date.now());
if (name === '--proof') {
  const counts = { letters: 0, stops: 0, queries: 0 };
  for (const letter of everyLetter(desk)) {
    if (!letter.fitting) continue;
    counts.letters++;
    for (const { kind, message } of letter.marks) {
      counts[kind === 'stop' ? 'stops' : 'queries']++;
      console.log(`${heading(letter)}: ${kind}: ${message}`);
    }
  }
  console.log(`${counts.letters} fitting letters: ${counts.stops} stops, ${counts.queries} queries.`);
} else if (name === '--ranking') {
  const { desk: ranked, letters } = await rankedDemonstration(SITUATIONS_AT);
  const all = placed(ranked, letters, SITUATIONS);
  for (const { from, right, place, offered } of all) {
    const first = offered[0];
    const reason = offered.find(({ name: one }) => one === right)?.reason;
    console.log(
      `${String(place ?? '–').padStart(2)}  ${from}: ${right}${reason ? ` (${reason})` : ''}${place === 1 ? '' : `; first is ${first?.name} (${first?.reason})`}`,
    );
  }
  console.log(
    `${all.length} situations, ${all.filter(({ place }) => place === 1).length} with the right template first; mean reciprocal rank ${meanReciprocalRank(all).toFixed(3)}.`,
  );
} else if (name === '--recognised') {
  const told = await demonstrationDesk(path.resolve('src/data/demonstration'), SITUATIONS_AT);
  const [filled, typed] = [filledLetters(told), typedLetters(told)];
  const all = measure([...filled, ...typed], told.context);
  for (const mistake of all.mistakes) console.log(mistake);
  for (const [what, { right, wrong, missed, certainWrong, precision, recall }] of [
    [`${filled.length} filled letters`, measure(filled, told.context)],
    [`${typed.length} typed letters`, measure(typed, told.context)],
    [`${filled.length + typed.length} letters in all`, all],
  ] as const)
    console.log(
      `${what}: ${right} facts found, ${wrong} taken wrongly (${certainWrong} of them certain), ${missed} missed; precision ${precision.toFixed(3)}, recall ${recall.toFixed(3)}.`,
    );
} else if (name) {
  for (const letter of everyLetter(desk)) {
    const from = `${letter.start.kind}:${letter.start.key}`;
    if (letter.template !== name || (record !== undefined && record !== from)) continue;
    console.log(
      `${heading(letter)}\n${letter.marks.map(({ kind, message }) => `(${kind}: ${message})\n`).join('')}`,
    );
    console.log(`${letter.subject}\n\n${letter.text}\n`);
  }
} else {
  const counts = { fitting: 0, others: 0, found: 0 };
  for (const letter of everyLetter(desk)) {
    counts[letter.fitting ? 'fitting' : 'others']++;
    // What the proof keeps from going unread is told by the proof.
    const told = letter.marks.length > 0;
    const english = letter.language === undefined || letter.language.startsWith('en');
    for (const { rule, words } of english ? stumblesOf(letter.subject, letter.text) : []) {
      if (told && rule === 'nothing owed') continue;
      counts.found++;
      console.log(`${heading(letter)}: ${rule}: … ${words} …`);
    }
  }
  console.log(
    `${counts.fitting} fitting letters and ${counts.others} others were read, ${counts.found} stumbles found.`,
  );
  process.exitCode = counts.found ? 1 : 0;
}

function heading({ template, start, fitting }: WrittenLetter): string {
  return `${template}, ${start.kind}:${start.key}${fitting ? '' : ' (not offered as fitting)'}`;
}
