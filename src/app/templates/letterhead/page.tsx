import { redirect } from 'next/navigation';

export default function LetterheadPage() {
  redirect('/templates/letterhead/top');
}
