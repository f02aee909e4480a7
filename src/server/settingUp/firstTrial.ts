import { printTemplate } from '../../core/template/text/printTemplate';
import { inNames } from '../../core/template/naming';
import { forMember } from '../forMember';
import { listRecords } from '../lists/listRecords';
import type { CurrentMember } from '../signIn/currentMember';
import { templateInPencil } from '../templates/templateInPencil';

/** A starter without blanks that starts from a client. */
const FIRST = 'is-it-time-again';

/** What a first trial needs: the template's words and a client to fill it for. Undefined where one of them is not there. */
export const firstTrial = forMember(async (member: CurrentMember) => {
  const { entries } = await listRecords(member, 'client');
  const template = await templateInPencil(member, FIRST);
  const [client] = entries;
  if (!client || !template) return { client, template: undefined };
  const { facts, head } = template;
  return {
    client,
    template: {
      key: FIRST,
      name: head.name,
      text: printTemplate(inNames(template, facts)),
      members: facts.members,
    },
  };
});
