import type { NamedAnswer } from '../../core/contract/named';
import type {
  ListedSignature,
  NewSignature,
  SignatureToKeep,
  SignatureToWrite,
} from '../../core/contract/signatures';
import type { TemplateDocument } from '../../core/document/templateDocument';
import { printMarkdown } from '../../core/template/text/printMarkdown';
import {
  insertSignature,
  ownedSignatures,
  templatesSignedSo,
  updateSignature,
  type OwnedSignature,
} from '../../data/repositories/templates/signatures';
import { schemaOfBusiness } from '../../data/repositories/schemaOfBusiness';
import { deleteNamed } from '../../data/repositories/templates/deleteNamed';
import { connection } from '../connection';
import type { CurrentMember } from '../signIn/currentMember';
import { mustChangeShared } from '../signIn/rights';
import { forMember } from '../forMember';
import { anotherCalled, beginningIn, changedAnswer, namedOnce, plainName, wrong } from './named';
import { readOwnWords } from './ownWords';
import { wordsFacts } from './wordsContext';

/** Those of the house, one's own, and for an owner everybody's. */
export const listSignatures = forMember(async (member: CurrentMember): Promise<ListedSignature[]> => {
  const database = connection();
  const [signatures, asked, schema] = await Promise.all([
    ownedSignatures(database, member.business_id),
    templatesSignedSo(database, member.business_id),
    schemaOfBusiness(database, member.business_id),
  ]);
  const begins = beginningIn({ schema, passages: new Map() }, []);
  return signatures.filter(writableBy(member)).map(({ key, name, whose, usual, document }) => ({
    key,
    name,
    begins: begins(document),
    ...(whose === null ? {} : { whose }),
    usual,
    uses: asked.filter(({ signature }) => signature === key).length,
  }));
});

/** A signature to be written. Undefined: there is no such one, or it is somebody else's. */
export const signatureToWrite = forMember(
  async (member: CurrentMember, wanted: string): Promise<SignatureToWrite | undefined> => {
    const found = await ownSignature(member, wanted);
    if (!found) return undefined;
    const { key, name, whose, usual, version, document } = found;
    const asked = (await templatesSignedSo(connection(), member.business_id)).filter(
      ({ signature }) => signature === key,
    );
    const seen = asked.filter(({ owner_id }) => owner_id === null || owner_id === member.id);
    return {
      key,
      name,
      ...(whose === null ? {} : { whose }),
      usual,
      version,
      text: printMarkdown(document),
      templates: seen.map((template) => ({ key: template.key, name: template.name })),
      others: asked.length - seen.length,
    };
  },
);

/** What every letter is signed with where there is no signature at all. */
const BEGINNING: TemplateDocument = {
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: [
        { type: 'field', attrs: { path: 'sender.full_name', steps: [] } },
        { type: 'break' },
        { type: 'field', attrs: { path: 'business.name', steps: [] } },
      ],
    },
  ],
};

/** Makes a signature with a name and the business's. */
export async function makeSignature(
  member: CurrentMember,
  { name: written, house }: NewSignature,
): Promise<NamedAnswer> {
  if (house) mustChangeShared(member);
  const name = plainName(written);
  return namedOnce(anotherCalled('signature', name), async () => ({
    result: 'done',
    key: await insert(member, name, house ? null : member.id),
    version: 1,
  }));
}

const insert = forMember(({ business_id }: CurrentMember, name: string, member_id: string | null) =>
  insertSignature(connection(), business_id, member_id, name, BEGINNING),
);

/** Keeps a signature's words: they must be found whatever a letter starts from. */
export async function keepSignature(
  member: CurrentMember,
  key: string,
  { version, name: written, text, usual }: SignatureToKeep,
): Promise<NamedAnswer> {
  const name = plainName(written);
  const reading = await readOwnWords('signature', text, await wordsFacts(member));
  if (reading.problems) return wrong(reading.problems);
  const { document } = reading;
  return namedOnce(anotherCalled('signature', name), () =>
    update(member, key, { version, name, usual, document }),
  );
}

const update = forMember(
  async (
    member: CurrentMember,
    key: string,
    change: Parameters<typeof updateSignature>[3],
  ): Promise<NamedAnswer> => {
    if (!(await ownSignature(member, key))) return GONE;
    const changed = await updateSignature(connection(), member.business_id, key, change);
    return changedAnswer('signature', changed, key, change.version + 1);
  },
);

/** Removes a signature that no template asks for. */
export const removeSignature = forMember(
  async (member: CurrentMember, key: string, version: number): Promise<NamedAnswer> => {
    const signature = await signatureToWrite(member, key);
    if (!signature) return GONE;
    const count = signature.templates.length + signature.others;
    if (count > 0) {
      const templates = count === 1 ? 'One template asks' : `${count} templates ask`;
      return { result: 'used', error: `${templates} for it. Let them ask for another one first.` };
    }
    const changed = await deleteNamed(connection(), 'signature', member.business_id, key, version);
    return changedAnswer('signature', changed, key, version);
  },
);

const GONE: NamedAnswer = { result: 'gone', error: 'This signature is no longer there.' };

async function ownSignature(member: CurrentMember, wanted: string): Promise<OwnedSignature | undefined> {
  const signatures = await ownedSignatures(connection(), member.business_id);
  return signatures.filter(writableBy(member)).find(({ key }) => key === wanted);
}

/** The house's are written by whoever may change what is shared; nobody but an owner writes what another signs with. */
function writableBy({ id, role, changesShared }: CurrentMember) {
  return ({ member_id }: OwnedSignature): boolean =>
    member_id === id || (member_id === null ? changesShared : role === 'owner');
}
