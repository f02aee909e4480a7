import { mkdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { everyLetter } from '../../bin/letters/everyLetter';
import { readDemonstration } from '../../src/data/demonstration/readDemonstration';
import { compose } from '../../src/post/compose';
import { demonstrationDesk } from '../../src/server/writing/demonstrationDesk';

// Writes every letter of the demonstration that fits its record as the message that goes out: one file each, in a folder.
const [folder = '', root = '.'] = process.argv.slice(2);
const demonstration = path.join(root, 'src/data/demonstration');
const now = new Date();
const desk = await demonstrationDesk(demonstration, now.getTime());
const { files } = await readDemonstration(demonstration, now.getTime());
const pictures = new Map(files.map(({ sha256, media_type: type, content }) => [sha256, { type, content }]));
await mkdir(folder, { recursive: true });
let count = 0;
for (const letter of everyLetter(desk)) {
  if (!letter.fitting || letter.marks.some(({ kind }) => kind === 'stop')) continue;
  const message = compose({
    messageId: `<${count}.f3a1c7@larkfield.example>`,
    date: now,
    from: { name: 'Imke Sandoval', address: 'imke@larkfield.example' },
    to: [{ name: 'Oda Hartigan', address: 'oda@hartigan.example' }],
    copies: [],
    subject: letter.subject,
    text: letter.text,
    html: letter.html,
    language: letter.language ?? 'en-GB',
    pictures,
  });
  const name = `${letter.template} ${letter.start.kind} ${letter.start.key}`.replace(/[^\w -]/g, '');
  await writeFile(path.join(folder, `${name}.eml`), message);
  count++;
}
console.log(`${count} letters that fit`);
