import { expect, it } from 'vitest';
import { fillSample } from './test/fillSample';

const passages = { Words: 'from the passage', Two: '- x\n- y', Numbered: '1. x\n2. y' };

/** Lists as nested brackets of their items' words. */
function outline(body: string): string {
  return fillSample(body, { passages })
    .html.replace(/ style="[^"]*"| start="\d+"/g, '')
    .replace(/<(?:ul|ol)>/g, '(')
    .replace(/<\/(?:ul|ol)>/g, ')')
    .replace(/<li>/g, '•')
    .replace(/<\/li>|<\/?p>/g, '')
    .replaceAll('<br>', ' / ');
}

const each = '{{#client.items}}';
const end = '{{/client.items}}';
const when = '{{#when custom.humidity_system is yes}}';

it.each([
  ['a comment between items', '- a\n{{! c }}\n- b', '(•a•b)'],
  ['an indented comment', '- a\n  {{! c }}\n- b', '(•a•b)'],
  ['a comment with blank lines around it', '- a\n\n{{! c }}\n\n- b', '(•a•b)'],
  ['a comment above more of an item', '- a\n{{! c }}\n  more\n- b', '(•a\nmore•b)'],
  ['a comment in a section', `${each}\n{{! c }}\n- {{name}}\n${end}\n- b`, '(•the upright•the grand•b)'],
  ['a passage in an item', '- a\n- {{> Words}}\n- b', '(•a•from the passage•b)'],
  ['a passage that is items', '- a\n{{> Two}}\n- b', '(•a•x•y•b)'],
  ['a passage that is items first', '{{> Two}}\n- b', '(•x•y•b)'],
  ['a passage of other items', '- a\n{{> Numbered}}\n- b', '(•a)(•x•y)(•b)'],
  ['a passage that is no list', '- a\n\n{{> Words}}\n\n- b', '(•a)from the passage(•b)'],
  ['a section amid items', `- a\n${each}\n- {{name}}\n${end}\n- c`, '(•a•the upright•the grand•c)'],
  ['a section, indented', `- a\n  ${each}\n- {{name}}\n  ${end}\n- c`, '(•a•the upright•the grand•c)'],
  ['a section, half indented', `- a\n  ${each}\n- {{name}}\n${end}\n- c`, '(•a•the upright•the grand•c)'],
  ['a condition in a section', `${each}\n${when}\n- {{name}}\n{{/when}}\n${end}\n- b`, '(•the upright•b)'],
  ['an inner list', `${each}\n- {{name}}\n  - inner\n${end}`, '(•the upright(•inner)•the grand(•inner))'],
  ['an inner list by a section', `- a\n${each}\n  - {{name}}\n${end}\n- b`, '(•a(•the upright•the grand)•b)'],
  [
    'an inner list under a section’s item',
    `- a\n${each}\n- {{name}}\n${when}\n  - wet\n{{otherwise}}\n  - dry\n{{/when}}\n${end}\n- b`,
    '(•a•the upright(•wet)•the grand(•dry)•b)',
  ],
  ['more words of an item', '- a\n{{#when client.name is set}}\n  more\n{{/when}}\n- b', '(•a / more•b)'],
  [
    'in a quotation',
    `> - a\n>   ${each}\n> - {{name}}\n>   ${end}\n> - c`,
    '<blockquote>(•a•the upright•the grand•c)</blockquote>',
  ],
])('%s leaves a list whole', (_, body, expected) => expect(outline(body)).toBe(expected));

it('fields, blanks and the signature are words, and end a list as such', () => {
  expect(outline('- a\n\n{{client.name}}\n\n- b')).toBe('(•a)Oda Hartigan(•b)');
});
