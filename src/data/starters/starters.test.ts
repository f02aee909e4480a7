import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { compileTemplate } from '../../core/fill/compileTemplate';
import { readPassages } from '../../core/fill/paths/scope';
import { inWords } from '../../core/problems/problem';
import { schemaOf } from '../../core/records/schema';
import { ACTS } from '../../core/template/acts';
import { readStarters } from './readStarters';

const starters = await readStarters(path.join(import.meta.dirname));
const { groups, templates, passages } = starters;

describe('the starters', () => {
  it('can be filled in a business that has said nothing of itself', () => {
    const context = {
      schema: schemaOf({ business: {} }),
      passages: readPassages(passages.map((passage) => ({ ...passage, key: passage.name }))),
    };
    for (const template of templates)
      expect(compileTemplate(template, context).problems.map(inWords), template.head.name).toEqual([]);
  });

  it('stand in their groups, each in one', () => {
    expect(groups.flatMap((group) => group.templates).sort()).toEqual(
      templates.map(({ head }) => head.name).sort(),
    );
    for (const { name, templates: own } of groups)
      for (const one of own) expect(templates.find(({ head }) => head.name === one)?.head.group).toBe(name);
  });

  it('have one that is first for each act they belong to', () => {
    const acts = templates.flatMap(({ head }) => (head.action ? [head.action] : []));
    for (const act of ACTS.filter((one) => acts.some((action) => action.act === one)))
      expect(
        acts.filter((action) => action.act === act && action.first),
        act,
      ).toHaveLength(1);
  });
});
