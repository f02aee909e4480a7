import { randomBytes } from 'node:crypto';
import type { EnquiryFormFacts } from '../../core/contract/enquiryForm';
import type { Keeping } from '../../core/contract/records/keeping';
import { enquiryFormOf, keepEnquiryForm, makeEnquiryForm } from '../../data/repositories/enquiryForm';
import { connection } from '../connection';
import { forMember } from '../forMember';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';

const TOKEN_BYTES = 15;
const SECRET_BYTES = 32;

/** The business's form for its own site, and its address's last part; made closed when it is first looked at. */
export const ownEnquiryForm = forMember(
  async ({ business_id }: CurrentMember): Promise<{ facts: EnquiryFormFacts; token: string }> => {
    await makeEnquiryForm(
      connection(),
      business_id,
      randomBytes(TOKEN_BYTES).toString('base64url'),
      randomBytes(SECRET_BYTES).toString('base64url'),
    );
    const {
      token,
      secret: _,
      business_id: _id,
      ...facts
    } = (await enquiryFormOf(connection(), business_id))!;
    return { facts, token };
  },
);

/** Keeps it. @param anew whether it gets another address, which ends the one before */
export const keepOwnEnquiryForm = forMember(
  async (
    member: CurrentMember,
    asked: EnquiryFormFacts,
    anew = false,
  ): Promise<Keeping<EnquiryFormFacts>> => {
    mustChangeShared(member);
    const token = anew ? randomBytes(TOKEN_BYTES).toString('base64url') : undefined;
    if (await keepEnquiryForm(connection(), member.business_id, asked, token))
      return { result: 'kept', version: asked.version + 1 };
    return { result: 'overtaken', now: (await ownEnquiryForm(member)).facts };
  },
);
