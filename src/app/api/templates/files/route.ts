import { templateFiles } from '../../../../server/templates/templateFiles';
import { asMember } from '../../asMember';
import { streamed } from '../../streamed';
import { templateForm } from '../templateForm';

/** All templates that the member may see, as a zip: ?as=text, json or page. */
export async function GET(request: Request): Promise<Response> {
  return asMember(request, async (member) => {
    const { name, content } = await templateFiles(member, templateForm(request));
    return streamed(content, name, 'application/zip');
  });
}
