import { ARRANGEMENT } from '../../../core/contract/groups';
import { NEW_TEMPLATE } from '../../../core/contract/templates';
import { arrangeTemplates } from '../../../server/templates/arrangeTemplates';
import { findTemplates } from '../../../server/templates/findTemplates';
import { makeTemplate } from '../../../server/templates/makeTemplate';
import { asMember } from '../asMember';
import { CHANGE_STATUS } from '../changeStatus';
import { readJson } from '../readJson';

/** The keys of the templates that have some words: ?find=words */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const find = new URL(request.url).searchParams.get('find') ?? '';
    return Response.json(await findTemplates(member, find.slice(0, 200)));
  });
}

/** Makes a template. */
export async function POST(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const template = await NEW_TEMPLATE.validate(await readJson(request, 260_000), {
      strict: true,
      abortEarly: false,
    });
    const answer = await makeTemplate(member, template);
    return Response.json(answer, { status: CHANGE_STATUS[answer.result] });
  });
}

/** Puts templates in other places. */
export async function PUT(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { under } = await ARRANGEMENT.validate(await readJson(request, 600_000), { strict: true });
    await arrangeTemplates(member, under);
    return Response.json({});
  });
}
