import { MEMBER_DETAILS } from '../../../../../core/contract/records/memberDetails';
import { keepMemberDetails } from '../../../../../server/settings/memberDetails';
import { keyFrom } from '../../../../keyFrom';
import { asMember } from '../../../asMember';
import { kept } from '../../../kept';
import { readJson } from '../../../readJson';

type Context = { params: Promise<{ key: string }> };

/** Keeps what letters say of a member. */
export async function PUT(request: Request, { params }: Context): Promise<Response> {
  return asMember(request, async (member) => {
    const details = await MEMBER_DETAILS.validate(await readJson(request, 10_000), {
      abortEarly: false,
      strict: true,
    });
    return kept(await keepMemberDetails(member, keyFrom((await params).key), details));
  });
}
