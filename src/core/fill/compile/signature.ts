import { fullName } from '../../people/names';
import { phoneNumber } from '../formats/phone';
import type { Run } from '../run';

/** The sender's signature, else full name, title, business name, phone and email, one a line. */
export function signatureOf(run: Run): string {
  const { sender } = run.situation;
  if (sender.signature) return sender.signature.trim();
  const { business } = run.book;
  const phone = sender.phone || sender.mobile || business.phone;
  return [
    fullName(sender),
    sender.title,
    business.name,
    phone && phoneNumber(phone, 'local', run.formats.settings.home),
    sender.email || business.email,
  ]
    .filter(Boolean)
    .join('\n');
}
