import { expect, it } from 'vitest';
import { inKeys, inNames } from './naming';
import { keyOfName } from './keyOfName';
import { readTemplate } from './text/readTemplate';
import { printTemplate } from './text/printTemplate';

const TEXT = `---
name: T
group: G
starts from: client
subject: '{{> Note}}'
signature: In short
---

{{> How to pay}}

- {{#client.unpaid_invoices}}{{number}} {{> Note}}{{/client.unpaid_invoices}}
`;
const PRINTED = printTemplate(readTemplate(TEXT, 't').value!);
const naming = {
  passages: [
    { key: 'how-to-pay', name: 'How to pay' },
    { key: 'note', name: 'Note' },
  ],
  signatures: [{ key: 'brief', name: 'In short' }],
};

it('a passage or signature that is called otherwise is kept as it was, and said by its new name', () => {
  const kept = inKeys(readTemplate(TEXT, 't').value!, naming);
  expect(JSON.stringify(kept)).not.toContain('How to pay');
  expect(kept.head.signature).toBe('brief');
  expect(printTemplate(inNames(kept, naming))).toBe(PRINTED);
  const renamed = {
    passages: [{ key: 'how-to-pay', name: 'Ways to pay' }, naming.passages[1]!],
    signatures: [{ key: 'brief', name: 'In a word' }],
  };
  expect(printTemplate(inNames(kept, renamed))).toBe(
    PRINTED.replace('How to pay', 'Ways to pay').replace('In short', 'In a word'),
  );
});

it('a former name still means what it meant, until something else is called so', () => {
  const passages = [
    { key: 'how-to-pay', name: 'Ways to pay', formerly: ['Money', 'How to pay'] },
    naming.passages[1]!,
  ];
  const template = readTemplate(TEXT, 't').value!;
  expect(JSON.stringify(inKeys(template, { ...naming, passages }))).toContain('"how-to-pay"');
  const another = { key: 'new', name: 'How to pay' };
  const kept = JSON.stringify(inKeys(template, { ...naming, passages: [...passages, another] }));
  expect(kept).toContain('"new"');
  expect(kept).not.toContain('"how-to-pay"');
});

it('what is not known stays, and where nothing is called otherwise nothing is made anew', () => {
  const template = readTemplate(TEXT, 't').value!;
  expect(inKeys(template, { passages: [], signatures: [] })).toBe(template);
});

it('a key is what an address may hold', () => {
  expect(keyOfName('Before we come: “hello”', 'x')).toBe('before-we-come-hello');
  expect(keyOfName('Señor Ñandú', 'x')).toBe('senor-nandu');
  expect(keyOfName('Υπενθύμιση', 'template')).toBe('template');
  expect(keyOfName('a'.repeat(200), 'x')).toHaveLength(60);
});
