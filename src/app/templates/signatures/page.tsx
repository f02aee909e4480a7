import type { Metadata } from 'next';
import { listSignatures } from '../../../server/templates/signatures';
import { SignatureList } from '../../../ui/templates/signatures/SignatureList';
import { requireMember } from '../../session';

export const metadata: Metadata = { title: 'Signatures' };

export default async function SignaturesPage() {
  return <SignatureList signatures={await listSignatures(await requireMember())} />;
}
