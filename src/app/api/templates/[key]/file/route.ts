import { templateFile } from '../../../../../server/templates/templateFiles';
import { asMember } from '../../../asMember';
import { download } from '../../../download';
import { templateForm } from '../../templateForm';

interface Context {
  params: Promise<{ key: string }>;
}

/** One template as a file: ?as=text, json or page. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) =>
    download(
      await templateFile(member, (await params).key, templateForm(request)),
      'This template is no longer there.',
    ),
  );
}
