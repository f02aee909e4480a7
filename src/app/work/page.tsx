import { redirect } from 'next/navigation';

export default function WorkPage() {
  redirect('/work/bookings');
}
