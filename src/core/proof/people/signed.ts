import { fullName } from '../../people/names';
import type { Check } from '../proofMark';

/** A letter carries one signature, and that of whoever it comes from. */
export const checkSigned: Check = ({ head, signatures }, { sender }) => {
  if (head.kind === 'text') return [];
  if (signatures.length > 1)
    return [
      {
        kind: 'stop',
        id: 'signatures',
        message: `This letter is signed ${signatures.length === 2 ? 'twice' : `${signatures.length} times`}. Take one of the signatures out.`,
      },
    ];
  const [signature] = signatures;
  if (!signature)
    return head.signature === 'none'
      ? []
      : [{ kind: 'query', id: 'unsigned', message: 'This letter carries no signature.' }];
  const { whose } = signature;
  if (whose === undefined || whose.key === sender.key) return [];
  return [
    {
      kind: 'query',
      id: 'signed by another',
      message: `It is signed by ${fullName(whose)} and comes from ${fullName(sender)}.`,
    },
  ];
};
