import { fillSample, problemsOf } from './core/fill/test/fillSample';
const P = { P: 'from the passage', L: '- x\n- y', I: '- one' };
const cases = [
  '- a\n{{! c }}\n- b',
  '- a\n  {{! c }}\n- b',
  '- a\n\n{{! c }}\n\n- b',
  '- a\n- {{> P}}\n- b',
  '- a\n{{> L}}\n- b',
  '- a\n  {{> P}}\n- b',
  '- a\n{{#client.items}}\n- {{name}}\n{{/client.items}}\n- c',
  '- a\n  {{#client.items}}\n- {{name}}\n  {{/client.items}}\n- c',
  '{{#client.items}}\n- {{name}}\n  - inner\n{{/client.items}}',
  '- a\n{{#client.items}}\n  - {{name}}\n{{/client.items}}\n- b',
  '- a\n  {{#client.items}}\n  - {{name}}\n  {{/client.items}}\n- b',
  '{{#client.items}}\n{{#when custom.humidity_system is yes}}\n- {{name}}\n{{/when}}\n{{/client.items}}\n- b',
  '{{#client.items}}\n{{! c }}\n- {{name}}\n{{/client.items}}\n- b',
  '- a\n{{#client.items}}\n- {{name}}\n{{#when custom.humidity_system is yes}}\n  - wet\n{{/when}}\n{{/client.items}}\n- b',
  '- {{> P}}\n\n  more\n- b',
  '{{#client.items}}\n- {{> P}}\n{{/client.items}}\n- b',
  '- {{> L}}\n- b',
  '- a\n{{#when client.name is set}}\n  more words\n{{/when}}\n- b',
];
for (const c of cases) {
  console.log('-----\n' + c);
  const p = problemsOf(c, { passages: P });
  console.log(
    p.length
      ? 'PROBLEM ' + p.join('\n')
      : '=> ' + fillSample(c, { passages: P }).html.replace(/ style="[^"]*"/g, ''),
  );
}
