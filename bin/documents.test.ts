import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, it } from 'vitest';

const documents = ['README.md', ...readdirSync('docs').map((name) => `docs/${name}`)].filter((name) =>
  name.endsWith('.md'),
);

/** What is named as a file or folder of the project: `src/core/`, `core/fill/filled.ts`, `thirtyDays.test.ts`. */
const NAMED = /`([\w.-]+(?:\/[\w.-]+)*(?:\/|\.(?:tsx?|mjs|cjs|scss|sql)))`/g;

it.each(documents)('%s names files and folders that are there', (document) => {
  const text = readFileSync(document, 'utf8');
  const gone = [...text.matchAll(NAMED)]
    .map(([, named]) => named!)
    .filter(
      (named) => !['', 'src', 'src/core', 'src/data'].some((root) => existsSync(path.join(root, named))),
    );
  expect(gone).toEqual([]);
  const links = [...text.matchAll(/\]\(([^):#\s]+(?:\.md|\.png|\/))\)/g)].map(([, to]) => to!);
  expect(links.filter((to) => !existsSync(path.join(path.dirname(document), to)))).toEqual([]);
});
