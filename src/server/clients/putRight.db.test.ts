import { describe, expect, it } from 'vitest';
import { recordFacts } from '../records/keepRecord';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { putRight } from './putRight';

demonstrationDatabase();

const client = async (key: string) => (await recordFacts(imke, 'client', key))!;

describe('a fact that is put right', () => {
  it('of a client is kept, with a new version, and nothing else is touched', async () => {
    const before = await client('hartigan');
    const facts = [{ fact: 'phone' as const, was: before.phone ?? '', now: ' 01632 960777 ' }];
    expect(await putRight(imke, 'hartigan', { facts })).toEqual({ result: 'kept' });
    const { phone, version, ...rest } = await client('hartigan');
    expect(phone!.replace(/\s/g, '')).toMatch(/(?:0|\+44)1632960777$/);
    expect(version).toBe(before.version + 1);
    const { phone: _, version: __, ...others } = before;
    expect(rest).toEqual(others);
  });

  it('of a person of theirs is that person’s', async () => {
    const { contacts } = await client('college');
    const person = contacts.find(({ given_name }) => given_name === 'Hale')!;
    const asked = {
      of: `contact:${person.key}`,
      facts: [{ fact: 'given_name' as const, was: 'Hale', now: 'Hayle' }],
    };
    expect(await putRight(imke, 'college', asked)).toEqual({ result: 'kept' });
    expect((await client('college')).contacts.map(({ given_name }) => given_name)).toContain('Hayle');
    expect((await client('college')).name).toBe('Thornholt College');
  });

  it('of a name has the name as it is written follow', async () => {
    expect(await client('quist')).toMatchObject({ name: 'Mags Quist', family_name: 'Quist' });
    const facts = [{ fact: 'family_name' as const, was: 'Quist', now: 'Qvist' }];
    expect(await putRight(imke, 'quist', { facts })).toEqual({ result: 'kept' });
    expect(await client('quist')).toMatchObject({ family_name: 'Qvist', name: 'Mags Qvist' });
  });

  it('that somebody has changed meanwhile is left, and told', async () => {
    const facts = [{ fact: 'email' as const, was: 'old@x.example', now: 'new@x.example' }];
    expect(await putRight(imke, 'lin', { facts })).toEqual({
      result: 'overtaken',
      error: 'Somebody has changed it meanwhile: it is “wen@lin.example” now. Bring the letter up to date.',
    });
    expect((await client('lin')).email).toBe('wen@lin.example');
  });

  it('has to be one: an address that is none is refused in words, and nothing is kept', async () => {
    const facts = [{ fact: 'email' as const, was: 'wen@lin.example', now: 'wen at lin' }];
    const answer = await putRight(imke, 'lin', { facts });
    expect(answer).toMatchObject({ result: 'wrong' });
    expect((await client('lin')).email).toBe('wen@lin.example');
  });

  it('can be taken out, and is nobody’s where there is none', async () => {
    const { phone = '' } = await client('lin');
    expect(await putRight(imke, 'lin', { facts: [{ fact: 'phone', was: phone, now: '' }] })).toEqual({
      result: 'kept',
    });
    expect((await client('lin')).phone).toBeUndefined();
    const facts = [{ fact: 'name' as const, was: '', now: 'x' }];
    for (const of of ['contact:none', 'item:none', 'member:imke'])
      expect(await putRight(imke, 'lin', { of, facts })).toMatchObject({ result: 'gone' });
    expect(await putRight(imke, 'nobody', { facts })).toMatchObject({ result: 'gone' });
  });
});
