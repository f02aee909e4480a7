import { DRAFT_TO_KEEP, type DraftAnswer } from '../../../../core/contract/drafts';
import { readStartingPoint } from '../../../../core/records/which/readStartingPoint';
import { dropDraft, keepDraft, oneDraft } from '../../../../server/letters/drafts';
import { idFrom } from '../../../keyFrom';
import { asMember } from '../../asMember';
import { documentOf, LARGEST_LETTER, readChoices } from '../../letters/readLetter';
import { readJson } from '../../readJson';
import { Refused } from '../../refused';

type Context = { params: Promise<{ id: string }> };

const GONE = 'This letter is not being written any more: it was sent or thrown away.';

async function idOf({ params }: Context): Promise<string> {
  const id = idFrom((await params).id);
  if (id === undefined) throw new Refused(GONE, 404);
  return id;
}

/** A letter that has been begun on another device. */
export async function GET(request: Request, context: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const draft = await oneDraft(member, await idOf(context));
    return draft ? Response.json(draft) : Response.json({ error: GONE }, { status: 404 });
  });
}

/** Keeps a letter that has been begun. */
export async function PUT(request: Request, context: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const id = await idOf(context);
    const json = (await readJson(request, 2 * LARGEST_LETTER)) as Record<'document' | 'base', unknown>;
    const { from, choices, name, template, seen, device } = await DRAFT_TO_KEEP.validate(json, {
      strict: true,
      stripUnknown: false,
    });
    const start = readStartingPoint(from);
    if (!start) throw new Refused('There is no such record.', 400);
    const letter = { choices: readChoices(choices), document: documentOf(json.document) };
    const base = documentOf(json.base);
    const kept = await keepDraft(member, { id, start, letter, base, name, template }, { seen, device });
    if (!kept) return Response.json({ error: GONE }, { status: 404 });
    return Response.json(kept satisfies DraftAnswer, { status: kept.overtaken ? 409 : 200 });
  });
}

/** Throws it away. */
export async function DELETE(request: Request, context: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const isDropped = await dropDraft(member, await idOf(context));
    return isDropped ? Response.json({}) : Response.json({ error: GONE }, { status: 404 });
  });
}
