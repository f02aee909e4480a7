import { readdirSync, readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

it('every worker of the pages is started by the one script', () => {
  const sources = readdirSync('src/ui', { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !file.endsWith('.test.ts'))
    .map((file) => `src/ui/${file}`);
  const starting = sources.filter((file) => readFileSync(file, 'utf8').includes('new Worker('));
  expect(starting).toEqual(['src/ui/beside/startBeside.ts']);
});
