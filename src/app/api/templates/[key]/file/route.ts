import { templateFile } from '../../../../../server/templates/templateFiles';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { download } from '../../../download';
import { templateForm } from '../../templateForm';

type Context = { params: Promise<{ key: string }> };

/** One template as a file: ?as=text, json or page. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) =>
    download(
      await templateFile(member, keyFrom((await params).key), templateForm(request)),
      'This template is no longer there.',
    ),
  );
}
