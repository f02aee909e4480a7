import type { RecordsFile } from '../../core/records/recordsFile';

/** Names every picture of the records anew. @param nameOf what each is called, by what the records call it */
export function withPicturesNamed(records: RecordsFile, nameOf: (source: string) => string): RecordsFile {
  const { business, members = [] } = records;
  const named = <K extends 'logo' | 'picture'>(key: K, source: string | undefined) =>
    source ? ({ [key]: nameOf(source) } as Record<K, string>) : {};
  return {
    ...records,
    business: { ...business, ...named('logo', business.logo) },
    members: members.map((member) => ({ ...member, ...named('picture', member.picture) })),
  };
}
