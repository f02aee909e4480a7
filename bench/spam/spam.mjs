import { readdir } from 'node:fs/promises';
import path from 'node:path';
import { bundle } from '../../bin/bundle.mjs';
import { command } from '../../bin/setup/command.mjs';
import { ensureDebianPackages } from '../../bin/setup/debian.mjs';
import { ROOT } from '../../bin/setup/root.mjs';

/** No letter may be marked with more, in points; from 5 on a mailbox takes it for spam. */
const MOST = 0.5;
/** So many are given to one run of the filter. */
const AT_ONCE = 60;

/**
 * Has a spam filter judge every letter of the demonstration that fits, by its local rules alone. Gives what it found, as
 * text.
 * @param folder where the messages are written
 */
export async function measureSpam(folder) {
  if ((await command('which', ['spamassassin'])).code !== 0)
    await ensureDebianPackages(['spamassassin'], 'The spam filter');
  const { output, code } = await command(process.execPath, [
    await bundle('bench/spam/everyMessage.ts'),
    folder,
    ROOT,
  ]);
  if (code !== 0) throw new Error(output);
  const files = (await readdir(folder)).sort();
  const judged = [];
  for (let at = 0; at < files.length; at += AT_ONCE) {
    const some = files.slice(at, at + AT_ONCE);
    const answer = await command('spamassassin', [
      '-L',
      '-t',
      ...some.map((file) => path.join(folder, file)),
    ]);
    const found = [
      ...answer.output.matchAll(
        /^X-Spam-Status: \w+, score=(-?[\d.]+)[\s\S]*?tests=([\s\S]*?)\s+autolearn/gm,
      ),
    ];
    if (found.length !== some.length) throw new Error(`It judged ${found.length} of ${some.length} letters.`);
    judged.push(
      ...found.map(([, score, tests], i) => ({
        file: some[i],
        score: Number(score),
        tests: tests.replace(/\s/g, ''),
      })),
    );
  }
  judged.sort((a, b) => b.score - a.score);
  const over = judged.filter(({ score }) => score >= MOST);
  return [
    `${output.trim()} were judged by local rules: at most ${judged[0].score} points (under ${MOST}), ${over.length} over`,
    ...judged
      .slice(0, 5)
      .map(({ file, score, tests }) => `  ${score.toFixed(1)}  ${file.replace('.eml', '')}: ${tests}`),
  ].join('\n');
}
