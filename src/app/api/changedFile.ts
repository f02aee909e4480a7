import { FILE_CHANGE, type FileChange, type FileChanged } from '../../core/contract/files';
import { readJson } from './readJson';

const STATUS = { done: 200, taken: 409, wrong: 422, gone: 404 } as const satisfies Record<
  FileChanged['result'],
  number
>;

/** An id that no file has. */
export const NONE = '00000000-0000-0000-0000-000000000000';

/** Answers what is asked of a file that is there. */
export async function changedFile(
  request: Request,
  change: (asked: FileChange) => Promise<FileChanged>,
): Promise<Response> {
  const asked = await FILE_CHANGE.validate(await readJson(request, 2_000), {
    strict: true,
    abortEarly: false,
  });
  const answer = await change(asked);
  return Response.json(answer, { status: STATUS[answer.result] });
}
