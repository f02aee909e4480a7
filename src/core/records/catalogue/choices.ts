/** What fields say that are one of a few words, and of which kinds custom fields are: the only list of them. */
export const CHOICES = {
  'client.kind': ['person', 'household', 'organisation'],
  'contact.uses': ['main', 'invoices', 'bookings', 'copy of invoices', 'copy of bookings'],
  'enquiry.status': ['waiting', 'answered', 'became work', 'closed'],
  'project.status': ['enquiry', 'planned', 'active', 'finished', 'cancelled'],
  'booking.status': ['tentative', 'confirmed', 'done', 'cancelled', 'missed'],
  'invoice.status': ['draft', 'sent', 'void'],
  'custom_field.type': ['text', 'long text', 'number', 'money', 'date', 'moment', 'yes/no', 'choice'],
} as const;

/** The choices of a field, as `client.kind`; undefined where anything may stand. */
export function choicesOf(field: string): readonly string[] | undefined {
  return Object.hasOwn(CHOICES, field) ? CHOICES[field as keyof typeof CHOICES] : undefined;
}

/** "draft, sent or void" */
export function choicesInWords(field: keyof typeof CHOICES): string {
  const words = CHOICES[field];
  return `${words.slice(0, -1).join(', ')} or ${words.at(-1)}`;
}
