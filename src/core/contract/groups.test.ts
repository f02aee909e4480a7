import { describe, expect, it } from 'vitest';
import { ARRANGEMENT, GROUP_CHANGE, NEW_GROUP } from './groups';

const problem = (schema: typeof NEW_GROUP | typeof GROUP_CHANGE | typeof ARRANGEMENT, given: unknown) =>
  schema.validate(given, { strict: true }).then(
    () => undefined,
    (error: Error) => error.message,
  );

describe('a group', () => {
  it.each([
    [{ name: 'Money' }, undefined],
    [{ name: 'Money', initial: 'Mo', tint: 'moss' }, undefined],
    [{ name: 'Money', initial: '𝕄' }, undefined],
    [{ name: '  ' }, 'Give the group a name.'],
    [{}, 'Give the group a name.'],
    [{ name: ' None ' }, 'A group cannot be called “none”.'],
    [{ name: 'x'.repeat(61) }, 'A group’s name has at most 60 characters.'],
    [{ name: 'Money', initial: 'Mon' }, 'An initial is one or two letters.'],
    [{ name: 'Money', initial: 'M ' }, 'An initial is one or two letters.'],
    [{ name: 'Money', tint: 'red' }, 'Choose one of the six tints.'],
  ])('made with %j', async (given, expected) => expect(await problem(NEW_GROUP, given)).toBe(expected));

  it.each([
    [{ version: 1, name: 'Money', initial: 'M', tint: 'moss' }, undefined],
    [{ version: 1, name: 'Money', tint: 'moss' }, 'Give it one or two letters.'],
    [{ version: 1, name: 'Money', initial: 'M' }, 'Choose one of the six tints.'],
    [{ version: 0, name: 'Money', initial: 'M', tint: 'moss' }, 'version must be a positive number'],
  ])('changed to %j', async (given, expected) => expect(await problem(GROUP_CHANGE, given)).toBe(expected));
});

it('an arrangement names groups and templates', async () => {
  expect(await problem(ARRANGEMENT, { under: [{ group: null, templates: ['a'] }] })).toBeUndefined();
  expect(await problem(ARRANGEMENT, { under: [{ templates: ['a'] }] })).toMatch(/group/);
  expect(await problem(ARRANGEMENT, { under: [{ group: 'a', templates: [''] }] })).toMatch(/templates/);
});
