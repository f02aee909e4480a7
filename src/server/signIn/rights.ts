import type { CurrentMember } from './currentMember';

/** Something that a member may not do; the message says so, and what to do instead. */
export class NotAllowed extends Error {}

/** @throws NotAllowed unless a member may change what everyone writes with */
export function mustChangeShared({ changesShared }: CurrentMember): void {
  if (!changesShared)
    throw new NotAllowed(
      'What everyone writes with is changed by others here. A copy of a template is your own; or ask an owner.',
    );
}

/** @throws NotAllowed unless a member is an owner */
export function mustOwn({ role }: CurrentMember): void {
  if (role !== 'owner') throw new NotAllowed('An owner of the business does this.');
}
