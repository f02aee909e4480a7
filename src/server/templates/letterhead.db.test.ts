import { expect, it } from 'vitest';
import { demonstrationDatabase } from '../test/demonstrationDatabase';
import { imke } from '../test/imke';
import { keepLetterhead, letterheadToWrite } from './letterhead';
import { templateList } from './templateList';

demonstrationDatabase();

it('a letterhead is written part by part, judged, and never overwritten unseen', async () => {
  expect(await letterheadToWrite(imke, 'foot')).toEqual({ version: 1, text: '' });
  const foot = { version: 1, text: '*{{business.name}}*' };
  expect(await keepLetterhead(imke, 'foot', foot)).toEqual({ result: 'done', key: 'foot', version: 2 });
  expect(await letterheadToWrite(imke, 'foot')).toEqual({ version: 2, text: '*{{business.name}}*\n' });
  expect((await templateList(imke)).letterhead).toHaveProperty('foot');
  expect(await keepLetterhead(imke, 'foot', foot)).toMatchObject({ result: 'overtaken' });
  expect(await keepLetterhead(imke, 'top', { version: 3, text: 'x' })).toMatchObject({ result: 'overtaken' });
  for (const text of ['{{signature}}', '{{? Rate}}', '{{enquiry.message}}', '{{nobody}}'])
    expect(await keepLetterhead(imke, 'foot', { version: 2, text })).toMatchObject({ result: 'wrong' });
  expect(await keepLetterhead(imke, 'foot', { version: 2, text: '' })).toMatchObject({ result: 'done' });
});
