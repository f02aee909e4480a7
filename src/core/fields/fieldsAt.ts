import { capital } from '../describe/capital';
import { ROOTS } from '../fill/paths/roots';
import { findStart } from '../fill/paths/pathStart';
import type { Scope } from '../fill/paths/scope';
import { ADDRESS_PARTS, CUSTOMISABLE } from '../records/catalogue/catalogue';
import type { FieldDefinition } from '../records/catalogue/field';
import { SAID } from '../records/catalogue/said';
import { KIND_SYNONYMS, SYNONYMS } from '../records/catalogue/synonyms';
import { scalar, type FieldType } from '../records/fieldType';
import type { RecordKind } from '../records/recordKind';
import { LEADS_TO } from '../records/which/situation';

/** A fact that a smart field can say, as whoever writes a template chooses it. */
export interface OfferedField {
  /** "booking.member.given_name" */
  path: string;
  label: string;
  /** a sentence about it */
  description: string;
  type: FieldType;
  /** a piece of another fact, as the town of an address: found when it is looked for, not listed */
  piece?: true;
  /** other words that it is looked for by */
  synonyms: string;
}

/** The facts of one record. */
export interface FieldGroup {
  /** what its paths begin with: "booking", "booking.member"; "" for what a section stands in */
  root: string;
  title: string;
  /** why a template that starts here can say none of them */
  unreachable?: string;
  fields: OfferedField[];
}

/**
 * All facts that a field at one place of a template can say, by record: what the sections around it stand in first, then
 * the record it starts from and those that follow, then the business and the day. Records that it does not lead to come
 * last, with why.
 * @param titles what the business calls its records, where that is not their own word
 */
export function fieldsAt(scope: Scope, titles: Readonly<Partial<Record<string, string>>> = {}): FieldGroup[] {
  const groups: FieldGroup[] = [];
  const title = (root: string) => capital(titles[root] ?? root.replaceAll('_', ' '));
  for (const { type } of scope.frames.toReversed()) {
    const kind = type.kind === 'record' ? type.record : undefined;
    groups.push({
      root: '',
      title: `This ${(kind && titles[kind]) ?? kind ?? 'one'}`,
      fields: kind ? fieldsOf(kind, '', scope) : [valueItself(type)],
    });
  }
  const start = scope.startsFrom;
  const leadsTo = LEADS_TO[start];
  const roots = new Set([start, 'recipient', ...leadsTo, 'sender', ...ROOTS.keys()]);
  for (const root of roots) {
    const { type } = ROOTS.get(root)!;
    if (type.kind !== 'record' || root === 'links') continue;
    const found = findStart(root, scope);
    // A section stands in something that is called so, too.
    if (typeof found !== 'string' && found.depth !== undefined) continue;
    const group = { root, title: title(root), fields: fieldsOf(type.record, `${root}.`, scope) };
    groups.push(typeof found === 'string' ? { ...group, unreachable: found } : group);
    if (typeof found !== 'string') groups.push(...referred(type.record, root, title(root), scope));
  }
  groups.push({ root: 'today', title: 'Today', fields: [ofToday('today'), ofToday('now')] });
  // What is reached comes first; the sort leaves the rest as it stands.
  return groups.sort((a, b) => Number(Boolean(a.unreachable)) - Number(Boolean(b.unreachable)));
}

function valueItself(type: FieldType): OfferedField {
  return { path: '.', label: 'it', description: 'What the list has here', type, synonyms: '' };
}

function ofToday(path: 'today' | 'now'): OfferedField {
  const { label, type } = ROOTS.get(path)!;
  const day = path === 'today';
  return {
    path,
    label,
    description: day ? 'The day on which the letter is written' : 'The moment in which the letter is written',
    type,
    synonyms: day ? 'date day when' : 'time clock hour',
  };
}

/** The records that a record names, each with its own facts: who comes, who is responsible, the next visit. */
function referred(kind: RecordKind, root: string, title: string, scope: Scope): FieldGroup[] {
  return [...scope.schema.fields(kind).values()].flatMap(({ key, label, type }) => {
    // Those that a path can begin with stand by themselves.
    if (type.kind !== 'record' || ROOTS.has(key)) return [];
    const path = `${root}.${key}`;
    return [
      { root: path, title: `${title}, ${label}`, fields: fieldsOf(type.record, `${path}.`, scope, label) },
    ];
  });
}

function fieldsOf(kind: RecordKind, prefix: string, scope: Scope, also = ''): OfferedField[] {
  const fields: OfferedField[] = [];
  const add = (field: FieldDefinition, path: string) => {
    const { key, label, description, type } = field;
    const synonyms = [also, SYNONYMS[kind]?.[key], KIND_SYNONYMS[kind], SAID[kind]?.[key]].join(' ');
    fields.push({ path, label, description, type, synonyms });
    if (type.kind !== 'address') return;
    for (const part of Object.keys(ADDRESS_PARTS))
      fields.push({
        path: `${path}.${part}`,
        label: `${label}, ${part}`,
        description: `${description}: the ${part} alone`,
        type: scalar(part === 'street' ? 'long text' : 'text'),
        piece: true,
        synonyms,
      });
  };
  for (const field of scope.schema.fields(kind).values())
    if (field.type.kind !== 'record') add(field, prefix + field.key);
  if (CUSTOMISABLE.includes(kind))
    for (const field of scope.schema.custom(kind).values()) add(field, `${prefix}custom.${field.key}`);
  if (kind === 'business')
    for (const link of scope.schema.links.values())
      add(link, prefix === 'business.' ? `links.${link.key}` : `${prefix}links.${link.key}`);
  return fields;
}
