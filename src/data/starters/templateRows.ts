import { DOCUMENT_SCHEMA } from '../../core/document/templateDocument';
import { keyOfName } from '../../core/template/keyOfName';
import { inKeys } from '../../core/template/naming';
import type { Passage, Signature, Template } from '../../core/template/template';
import type { Rows } from '../rows';
import { stableId } from '../stableId';

/** A group that ships with the application. */
export interface ShippedGroup {
  key: string;
  name: string;
  initial: string;
  tint: string;
  /** the names of its templates, in their order */
  templates: string[];
}

interface Shipped {
  groups: readonly ShippedGroup[];
  templates: readonly Template[];
  passages: readonly Passage[];
  signatures: readonly Signature[];
  /** the house's; absent: none */
  shorthand?: readonly Passage[];
}

/** Templates that ship with the application, with what they are made of, as rows of a business. */
export function templateRows(
  { groups, passages, signatures, shorthand = [], ...rest }: Shipped,
  business_id: string,
): Rows {
  const order = groups.flatMap((group) => group.templates);
  const templates = [...rest.templates].sort(
    (a, b) => order.indexOf(a.head.name) - order.indexOf(b.head.name),
  );
  const groupId = (name: string) => {
    const group = groups.find((one) => one.name === name);
    return group ? stableId('group', group.key) : null;
  };
  const naming = {
    passages: passages.map(({ name }) => ({ name, key: keyOfName(name, 'passage') })),
    signatures,
  };
  const document_schema = DOCUMENT_SCHEMA;
  return {
    template_group: groups.map(({ templates: _, ...group }, position) => ({
      ...group,
      business_id,
      id: stableId('group', group.key),
      position,
    })),
    template: templates.map(({ head }, position) => ({
      business_id,
      id: stableId('template', head.name),
      key: keyOfName(head.name, 'template'),
      group_id: groupId(head.group),
      name: head.name,
      starts_from: head.startsFrom,
      resting: head.resting ?? false,
      position,
      current_version: 1,
    })),
    template_version: templates.map((template) => ({
      business_id,
      template_id: stableId('template', template.head.name),
      version: 1,
      ...inKeys(template, naming),
      document_schema,
    })),
    passage: passages.map(({ name, document }) => ({
      business_id,
      id: stableId('passage', name),
      key: keyOfName(name, 'passage'),
      name,
      document: inKeys(document, naming),
      document_schema,
    })),
    shorthand: shorthand.map(({ name, document }) => ({
      business_id,
      id: stableId('shorthand', name),
      key: keyOfName(name, 'shorthand'),
      name,
      document: inKeys(document, naming),
      document_schema,
    })),
    signature: signatures.map(({ key, name, member, usual, document }) => ({
      business_id,
      id: stableId('signature', name),
      key,
      member_id: member === undefined ? null : stableId('member', member),
      name,
      document,
      document_schema,
      is_default: usual,
    })),
  };
}
